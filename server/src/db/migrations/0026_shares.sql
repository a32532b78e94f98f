CREATE TABLE `shares` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`event_id` char(36) NOT NULL,
	`kind` enum('sheet','copy') NOT NULL,
	`code_hash` char(64) NOT NULL,
	`content` longtext NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	CONSTRAINT `shares_id` PRIMARY KEY(`id`),
	CONSTRAINT `shares_code` UNIQUE(`code_hash`)
);
--> statement-breakpoint
ALTER TABLE `shares` ADD CONSTRAINT `shares_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `shares` ADD CONSTRAINT `shares_event` FOREIGN KEY (`event_id`,`studio_id`) REFERENCES `events`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `shares_list` ON `shares` (`studio_id`,`expires_at`);