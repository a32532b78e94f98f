ALTER TABLE `readings` ADD `balloon` smallint;--> statement-breakpoint
ALTER TABLE `tiers` ADD `shape` enum('round','oval') DEFAULT 'round' NOT NULL;--> statement-breakpoint
ALTER TABLE `readings` ADD CONSTRAINT `readings_balloon` CHECK (balloon > 0);