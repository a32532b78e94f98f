CREATE TABLE `as_built` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`event_id` char(36) NOT NULL,
	`piece_id` char(36) NOT NULL,
	`measure` enum('high','wide','along') NOT NULL,
	`drawn_mm` decimal(9,4) NOT NULL,
	`built_mm` decimal(9,4) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `as_built_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `photos` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`event_id` char(36) NOT NULL,
	`step_key` varchar(80) NOT NULL,
	`picture` mediumtext NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `photos_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `repairs` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`event_id` char(36) NOT NULL,
	`piece_id` char(36),
	`model_id` char(36),
	`colour_hex` char(7) NOT NULL,
	`cause` enum('popped','soft','knocked','other') NOT NULL,
	`reckoned_mm` decimal(9,4) NOT NULL,
	`measured_mm` decimal(9,4),
	`fill_mm` decimal(9,4) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `repairs_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `snags` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`event_id` char(36) NOT NULL,
	`piece_id` char(36),
	`text` varchar(300) NOT NULL,
	`at` datetime(3) NOT NULL,
	`done_at` datetime(3),
	CONSTRAINT `snags_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `as_built` ADD CONSTRAINT `as_built_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `as_built` ADD CONSTRAINT `as_built_event` FOREIGN KEY (`event_id`,`studio_id`) REFERENCES `events`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `as_built` ADD CONSTRAINT `as_built_piece` FOREIGN KEY (`piece_id`,`studio_id`) REFERENCES `pieces`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `photos` ADD CONSTRAINT `photos_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `photos` ADD CONSTRAINT `photos_event` FOREIGN KEY (`event_id`,`studio_id`) REFERENCES `events`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `repairs` ADD CONSTRAINT `repairs_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `repairs` ADD CONSTRAINT `repairs_piece_id_pieces_id_fk` FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `repairs` ADD CONSTRAINT `repairs_model_id_models_id_fk` FOREIGN KEY (`model_id`) REFERENCES `models`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `repairs` ADD CONSTRAINT `repairs_event` FOREIGN KEY (`event_id`,`studio_id`) REFERENCES `events`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `snags` ADD CONSTRAINT `snags_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `snags` ADD CONSTRAINT `snags_piece_id_pieces_id_fk` FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `snags` ADD CONSTRAINT `snags_event` FOREIGN KEY (`event_id`,`studio_id`) REFERENCES `events`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `as_built_list` ON `as_built` (`studio_id`,`at`);--> statement-breakpoint
CREATE INDEX `photos_list` ON `photos` (`studio_id`,`at`);--> statement-breakpoint
CREATE INDEX `repairs_list` ON `repairs` (`studio_id`,`at`);--> statement-breakpoint
CREATE INDEX `snags_list` ON `snags` (`studio_id`,`at`);