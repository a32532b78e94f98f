ALTER TABLE `models` DROP CONSTRAINT `models_nominal`;--> statement-breakpoint
ALTER TABLE `models` MODIFY COLUMN `kind` enum('round','linking','modelling','foil','stretch-foil') NOT NULL;--> statement-breakpoint
ALTER TABLE `models` ADD `length_mm` decimal(9,4);--> statement-breakpoint
ALTER TABLE `models` ADD `decor` enum('none','print','confetti') DEFAULT 'none' NOT NULL;--> statement-breakpoint
ALTER TABLE `models` ADD `stock` int;--> statement-breakpoint
ALTER TABLE `models` ADD `outer_id` char(36);--> statement-breakpoint
ALTER TABLE `models` ADD `inner_id` char(36);--> statement-breakpoint
ALTER TABLE `models` ADD `seen_hex` char(7);--> statement-breakpoint
ALTER TABLE `pumps` ADD `most_kpa` decimal(7,3);--> statement-breakpoint
ALTER TABLE `models` ADD CONSTRAINT `models_pair` CHECK ((outer_id is null) = (inner_id is null));--> statement-breakpoint
ALTER TABLE `models` ADD CONSTRAINT `models_stock` CHECK (coalesce(stock >= 0, true));--> statement-breakpoint
ALTER TABLE `models` ADD CONSTRAINT `models_nominal` CHECK (nominal_mm > 0 and coalesce(length_mm > 0, true));--> statement-breakpoint
ALTER TABLE `models` ADD CONSTRAINT `models_outer` FOREIGN KEY (`outer_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `models` ADD CONSTRAINT `models_inner` FOREIGN KEY (`inner_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;