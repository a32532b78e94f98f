CREATE TABLE `notes` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`model_id` char(36) NOT NULL,
	`text` varchar(500) NOT NULL,
	`written_at` datetime(3) NOT NULL,
	CONSTRAINT `notes_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `notes` ADD CONSTRAINT `notes_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `notes` ADD CONSTRAINT `notes_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `notes_list` ON `notes` (`studio_id`,`written_at`);