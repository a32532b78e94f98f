CREATE TABLE `bags` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`model_id` char(36) NOT NULL,
	`count` int NOT NULL,
	`bags` smallint NOT NULL,
	`batch` varchar(40) NOT NULL,
	`shop` varchar(80) NOT NULL,
	`price_minor` int,
	`currency` char(3) NOT NULL,
	`bought_at` datetime(3) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `bags_id` PRIMARY KEY(`id`),
	CONSTRAINT `bags_scope` UNIQUE(`id`,`studio_id`)
);
--> statement-breakpoint
CREATE TABLE `losses` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`model_id` char(36) NOT NULL,
	`bag_id` char(36),
	`work` enum('inflate','build') NOT NULL,
	`used` int NOT NULL,
	`lost` int NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `losses_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `stock_entries` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`model_id` char(36) NOT NULL,
	`event_id` char(36),
	`change` enum('counted','out','back','spoiled') NOT NULL,
	`count` int NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `stock_entries_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `events` ADD `plan` longtext;--> statement-breakpoint
ALTER TABLE `studios` ADD `currency` char(3) DEFAULT 'EUR' NOT NULL;--> statement-breakpoint
ALTER TABLE `bags` ADD CONSTRAINT `bags_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `bags` ADD CONSTRAINT `bags_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `losses` ADD CONSTRAINT `losses_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `losses` ADD CONSTRAINT `losses_bag_id_bags_id_fk` FOREIGN KEY (`bag_id`) REFERENCES `bags`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `losses` ADD CONSTRAINT `losses_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `stock_entries` ADD CONSTRAINT `stock_entries_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `stock_entries` ADD CONSTRAINT `stock_entries_event_id_events_id_fk` FOREIGN KEY (`event_id`) REFERENCES `events`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `stock_entries` ADD CONSTRAINT `stock_entries_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `bags_list` ON `bags` (`studio_id`,`bought_at`);--> statement-breakpoint
CREATE INDEX `losses_list` ON `losses` (`studio_id`,`at`);--> statement-breakpoint
CREATE INDEX `stock_entries_list` ON `stock_entries` (`studio_id`,`at`);--> statement-breakpoint
ALTER TABLE `events` ADD CONSTRAINT `events_plan` CHECK (plan is null or json_valid(plan));