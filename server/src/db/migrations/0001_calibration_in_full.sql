CREATE TABLE `hold_readings` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`hold_test_id` char(36) NOT NULL,
	`hours` decimal(8,3) NOT NULL,
	`width_mm` decimal(9,4) NOT NULL,
	CONSTRAINT `hold_readings_id` PRIMARY KEY(`id`),
	CONSTRAINT `hold_readings_hour` UNIQUE(`hold_test_id`,`hours`),
	CONSTRAINT `hold_readings_positive` CHECK(hours >= 0 and width_mm > 0)
);
--> statement-breakpoint
CREATE TABLE `hold_tests` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`model_id` char(36) NOT NULL,
	`wraps` smallint NOT NULL,
	`stuffed` boolean NOT NULL,
	`started_at` datetime(3) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `hold_tests_id` PRIMARY KEY(`id`),
	CONSTRAINT `hold_tests_scope` UNIQUE(`id`,`studio_id`),
	CONSTRAINT `hold_tests_wraps` CHECK(wraps in (1, 2))
);
--> statement-breakpoint
ALTER TABLE `readings` DROP CONSTRAINT `readings_width`;--> statement-breakpoint
ALTER TABLE `pumps` MODIFY COLUMN `kind` enum('hand','timed','twin') NOT NULL;--> statement-breakpoint
ALTER TABLE `readings` ADD `way` enum('tape','caliper','hole','bracket','reference') DEFAULT 'tape' NOT NULL;--> statement-breakpoint
ALTER TABLE `readings` ADD `stops_mm` decimal(9,4);--> statement-breakpoint
ALTER TABLE `readings` ADD `passes_mm` decimal(9,4);--> statement-breakpoint
ALTER TABLE `readings` ADD `nozzle` enum('left','right');--> statement-breakpoint
ALTER TABLE `studios` ADD `workroom_temp_c` decimal(5,2) DEFAULT 21 NOT NULL;--> statement-breakpoint
ALTER TABLE `studios` ADD `workroom_altitude_m` decimal(7,2) DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `tiers` ADD `least_fraction` decimal(6,4) NOT NULL;--> statement-breakpoint
ALTER TABLE `tiers` ADD `most_fraction` decimal(6,4) NOT NULL;--> statement-breakpoint
UPDATE `tiers` SET `least_fraction` = least(`fraction`, greatest(0.3, `fraction` - 0.03)), `most_fraction` = greatest(`fraction`, least(1, `fraction` + 0.02));--> statement-breakpoint
ALTER TABLE `hold_readings` ADD CONSTRAINT `hold_readings_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `hold_readings` ADD CONSTRAINT `hold_readings_test` FOREIGN KEY (`hold_test_id`,`studio_id`) REFERENCES `hold_tests`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `hold_tests` ADD CONSTRAINT `hold_tests_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `hold_tests` ADD CONSTRAINT `hold_tests_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `hold_tests_list` ON `hold_tests` (`studio_id`,`model_id`,`started_at`);--> statement-breakpoint
ALTER TABLE `readings` ADD CONSTRAINT `readings_bracket` CHECK ((stops_mm is null) = (passes_mm is null));--> statement-breakpoint
ALTER TABLE `readings` ADD CONSTRAINT `readings_width` CHECK (coalesce(width_mm > 0, stops_mm < passes_mm, false) or outcome = 'burst');--> statement-breakpoint
ALTER TABLE `tiers` ADD CONSTRAINT `tiers_range` CHECK (least_fraction <= fraction and fraction <= most_fraction);