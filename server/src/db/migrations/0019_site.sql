CREATE TABLE `own_steps` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`text` varchar(160) NOT NULL,
	`created_at` datetime(3) NOT NULL,
	CONSTRAINT `own_steps_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `site_ticks` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`event_id` char(36) NOT NULL,
	`step_key` varchar(80) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `site_ticks_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `own_steps` ADD CONSTRAINT `own_steps_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `site_ticks` ADD CONSTRAINT `site_ticks_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `site_ticks` ADD CONSTRAINT `site_ticks_event` FOREIGN KEY (`event_id`,`studio_id`) REFERENCES `events`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `own_steps_list` ON `own_steps` (`studio_id`,`created_at`);--> statement-breakpoint
CREATE INDEX `site_ticks_list` ON `site_ticks` (`studio_id`,`at`);