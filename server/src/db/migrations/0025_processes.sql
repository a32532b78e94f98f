CREATE TABLE `counters` (
	`counted_key` char(64) NOT NULL,
	`count` int NOT NULL,
	`until_at` datetime(3) NOT NULL,
	CONSTRAINT `counters_counted_key` PRIMARY KEY(`counted_key`)
);
--> statement-breakpoint
CREATE TABLE `open_pages` (
	`token` char(64) NOT NULL,
	`person_id` char(36) NOT NULL,
	`until_at` datetime(3) NOT NULL,
	CONSTRAINT `open_pages_token` PRIMARY KEY(`token`)
);
--> statement-breakpoint
ALTER TABLE `open_pages` ADD CONSTRAINT `open_pages_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `counters_until` ON `counters` (`until_at`);--> statement-breakpoint
CREATE INDEX `open_pages_until` ON `open_pages` (`until_at`);