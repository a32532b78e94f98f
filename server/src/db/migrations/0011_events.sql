CREATE TABLE `events` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`client` varchar(80) NOT NULL,
	`place` varchar(120) NOT NULL,
	`opens_at` datetime(3),
	`days_standing` smallint NOT NULL,
	`workroom_temp_c` decimal(5,2),
	`venue_temp_c` decimal(5,2),
	`venue_altitude_m` decimal(7,2),
	`hours_before` decimal(5,1) NOT NULL,
	`wraps` tinyint NOT NULL,
	`outdoors` boolean NOT NULL,
	`ceiling_mm` decimal(9,4),
	`door_high_mm` decimal(9,4),
	`door_wide_mm` decimal(9,4),
	`lift_high_mm` decimal(9,4),
	`lift_wide_mm` decimal(9,4),
	`notes` varchar(2000) NOT NULL,
	`state` enum('planned','in work','up','down') NOT NULL,
	`created_at` datetime(3) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `events_id` PRIMARY KEY(`id`),
	CONSTRAINT `events_scope` UNIQUE(`id`,`studio_id`)
);
--> statement-breakpoint
ALTER TABLE `pieces` ADD `event_id` char(36);--> statement-breakpoint
ALTER TABLE `pieces` ADD `copies` tinyint DEFAULT 1 NOT NULL;--> statement-breakpoint
ALTER TABLE `events` ADD CONSTRAINT `events_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `events_list` ON `events` (`studio_id`,`created_at`);--> statement-breakpoint
ALTER TABLE `pieces` ADD CONSTRAINT `pieces_event_id_events_id_fk` FOREIGN KEY (`event_id`) REFERENCES `events`(`id`) ON DELETE set null ON UPDATE no action;