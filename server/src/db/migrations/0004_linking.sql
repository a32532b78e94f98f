CREATE TABLE `chains` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`model_id` char(36) NOT NULL,
	`count` smallint NOT NULL,
	`width_mm` decimal(9,4) NOT NULL,
	`length_mm` decimal(9,4) NOT NULL,
	`taken_at` datetime(3) NOT NULL,
	CONSTRAINT `chains_id` PRIMARY KEY(`id`),
	CONSTRAINT `chains_positive` CHECK(count >= 3 and width_mm > 0 and length_mm > 0)
);
--> statement-breakpoint
CREATE TABLE `pieces` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`design` longtext NOT NULL,
	`created_at` datetime(3) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `pieces_id` PRIMARY KEY(`id`),
	CONSTRAINT `pieces_design` CHECK(json_valid(design))
);
--> statement-breakpoint
ALTER TABLE `checks` ADD `piece_id` char(36);--> statement-breakpoint
ALTER TABLE `checks` ADD `layer` varchar(40);--> statement-breakpoint
ALTER TABLE `chains` ADD CONSTRAINT `chains_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `chains` ADD CONSTRAINT `chains_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `pieces` ADD CONSTRAINT `pieces_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `chains_list` ON `chains` (`studio_id`,`taken_at`);--> statement-breakpoint
CREATE INDEX `pieces_list` ON `pieces` (`studio_id`,`created_at`);--> statement-breakpoint
ALTER TABLE `checks` ADD CONSTRAINT `checks_piece_id_pieces_id_fk` FOREIGN KEY (`piece_id`) REFERENCES `pieces`(`id`) ON DELETE set null ON UPDATE no action;