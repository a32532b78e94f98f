CREATE TABLE `fixings` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`piece_id` char(36) NOT NULL,
	`model_id` char(36) NOT NULL,
	`wanted_mm` decimal(9,4) NOT NULL,
	`fill_mm` decimal(9,4) NOT NULL,
	`dose` decimal(7,3),
	`origin` enum('measured','estimated','rule') NOT NULL,
	`fixed_at` datetime(3) NOT NULL,
	CONSTRAINT `fixings_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `fixings` ADD CONSTRAINT `fixings_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `fixings` ADD CONSTRAINT `fixings_piece` FOREIGN KEY (`piece_id`,`studio_id`) REFERENCES `pieces`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `fixings` ADD CONSTRAINT `fixings_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `fixings_list` ON `fixings` (`studio_id`,`fixed_at`);