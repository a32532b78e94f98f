CREATE TABLE `inflation_batches` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`inflation_id` char(36) NOT NULL,
	`recipe_key` varchar(60) NOT NULL,
	`place` smallint NOT NULL,
	`model_id` char(36),
	`colour_hex` char(7) NOT NULL,
	`fill_mm` decimal(9,4) NOT NULL,
	`tolerance_mm` decimal(9,4) NOT NULL,
	`count` int NOT NULL,
	`dose` decimal(7,3),
	`timed` boolean NOT NULL,
	CONSTRAINT `inflation_batches_id` PRIMARY KEY(`id`),
	CONSTRAINT `inflation_batches_scope` UNIQUE(`id`,`studio_id`)
);
--> statement-breakpoint
CREATE TABLE `inflations` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`event_id` char(36) NOT NULL,
	`started_at` datetime(3) NOT NULL,
	`ended_at` datetime(3),
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `inflations_id` PRIMARY KEY(`id`),
	CONSTRAINT `inflations_scope` UNIQUE(`id`,`studio_id`)
);
--> statement-breakpoint
CREATE TABLE `tallies` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`turn_id` char(36) NOT NULL,
	`what` enum('done','popped','pinhole','size','other') NOT NULL,
	`count` tinyint NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `tallies_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `turns` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`batch_id` char(36) NOT NULL,
	`station` varchar(40) NOT NULL,
	`at_once` tinyint NOT NULL,
	`bag_id` char(36),
	`dose` decimal(7,3),
	`started_at` datetime(3) NOT NULL,
	CONSTRAINT `turns_id` PRIMARY KEY(`id`),
	CONSTRAINT `turns_scope` UNIQUE(`id`,`studio_id`)
);
--> statement-breakpoint
ALTER TABLE `checks` ADD `turn_id` char(36);--> statement-breakpoint
ALTER TABLE `inflation_batches` ADD CONSTRAINT `inflation_batches_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `inflation_batches` ADD CONSTRAINT `inflation_batches_model_id_models_id_fk` FOREIGN KEY (`model_id`) REFERENCES `models`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `inflation_batches` ADD CONSTRAINT `inflation_batches_run` FOREIGN KEY (`inflation_id`,`studio_id`) REFERENCES `inflations`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `inflations` ADD CONSTRAINT `inflations_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `inflations` ADD CONSTRAINT `inflations_event` FOREIGN KEY (`event_id`,`studio_id`) REFERENCES `events`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `tallies` ADD CONSTRAINT `tallies_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `tallies` ADD CONSTRAINT `tallies_turn` FOREIGN KEY (`turn_id`,`studio_id`) REFERENCES `turns`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `turns` ADD CONSTRAINT `turns_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `turns` ADD CONSTRAINT `turns_bag_id_bags_id_fk` FOREIGN KEY (`bag_id`) REFERENCES `bags`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `turns` ADD CONSTRAINT `turns_batch` FOREIGN KEY (`batch_id`,`studio_id`) REFERENCES `inflation_batches`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `inflations_list` ON `inflations` (`studio_id`,`started_at`);--> statement-breakpoint
CREATE INDEX `tallies_list` ON `tallies` (`studio_id`,`at`);--> statement-breakpoint
CREATE INDEX `turns_list` ON `turns` (`studio_id`,`started_at`);--> statement-breakpoint
ALTER TABLE `checks` ADD CONSTRAINT `checks_turn_id_turns_id_fk` FOREIGN KEY (`turn_id`) REFERENCES `turns`(`id`) ON DELETE set null ON UPDATE no action;