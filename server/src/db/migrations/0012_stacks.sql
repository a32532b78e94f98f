CREATE TABLE `stacks` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`layers` longtext NOT NULL,
	`height_mm` decimal(9,4) NOT NULL,
	`taken_at` datetime(3) NOT NULL,
	CONSTRAINT `stacks_id` PRIMARY KEY(`id`),
	CONSTRAINT `stacks_layers` CHECK(json_valid(layers))
);
--> statement-breakpoint
ALTER TABLE `stacks` ADD CONSTRAINT `stacks_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `stacks_list` ON `stacks` (`studio_id`,`taken_at`);