CREATE TABLE `accepted_targets` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`model_id` char(36) NOT NULL,
	`tier_id` char(36),
	`tier_name` varchar(80) NOT NULL,
	`revision` int NOT NULL,
	`width_mm` decimal(9,4) NOT NULL,
	`tolerance_mm` decimal(9,4) NOT NULL,
	`dose` decimal(7,3),
	`origin` enum('measured','estimated','rule') NOT NULL,
	`days_standing` smallint NOT NULL,
	`accepted_at` datetime(3) NOT NULL,
	CONSTRAINT `accepted_targets_id` PRIMARY KEY(`id`),
	CONSTRAINT `accepted_targets_revision` UNIQUE(`model_id`,`tier_name`,`revision`),
	CONSTRAINT `accepted_targets_width` CHECK(width_mm > 0 and tolerance_mm > 0)
);
--> statement-breakpoint
CREATE TABLE `calibrations` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`model_id` char(36) NOT NULL,
	`pump_id` char(36) NOT NULL,
	`pre_stretched` boolean NOT NULL,
	`rounded_off` boolean NOT NULL,
	`started_at` datetime(3) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `calibrations_id` PRIMARY KEY(`id`),
	CONSTRAINT `calibrations_scope` UNIQUE(`id`,`studio_id`)
);
--> statement-breakpoint
CREATE TABLE `check_results` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`check_id` char(36) NOT NULL,
	`position` smallint NOT NULL,
	`answer` enum('stops','passes','falls'),
	`width_mm` decimal(9,4),
	`taken_at` datetime(3) NOT NULL,
	CONSTRAINT `check_results_id` PRIMARY KEY(`id`),
	CONSTRAINT `check_results_place` UNIQUE(`check_id`,`position`),
	CONSTRAINT `check_results_one` CHECK((answer is null) <> (width_mm is null))
);
--> statement-breakpoint
CREATE TABLE `checks` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`model_id` char(36) NOT NULL,
	`tier_name` varchar(80) NOT NULL,
	`target_mm` decimal(9,4) NOT NULL,
	`tolerance_mm` decimal(9,4) NOT NULL,
	`size` smallint NOT NULL,
	`started_at` datetime(3) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `checks_id` PRIMARY KEY(`id`),
	CONSTRAINT `checks_scope` UNIQUE(`id`,`studio_id`),
	CONSTRAINT `checks_size` CHECK(size > 0)
);
--> statement-breakpoint
CREATE TABLE `models` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`line` varchar(80) NOT NULL,
	`kind` enum('round','linking') NOT NULL,
	`nominal_mm` decimal(9,4) NOT NULL,
	`finish` enum('matte','pearl','mirror','clear') NOT NULL,
	`colour_name` varchar(40) NOT NULL,
	`colour_hex` char(7) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `models_id` PRIMARY KEY(`id`),
	CONSTRAINT `models_scope` UNIQUE(`id`,`studio_id`),
	CONSTRAINT `models_nominal` CHECK(nominal_mm > 0)
);
--> statement-breakpoint
CREATE TABLE `pumps` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`kind` enum('hand') NOT NULL,
	`stroke_volume_l` decimal(8,4),
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `pumps_id` PRIMARY KEY(`id`),
	CONSTRAINT `pumps_scope` UNIQUE(`id`,`studio_id`)
);
--> statement-breakpoint
CREATE TABLE `readings` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`calibration_id` char(36) NOT NULL,
	`dose` decimal(7,3) NOT NULL,
	`width_mm` decimal(9,4),
	`height_mm` decimal(9,4),
	`sd_mm` decimal(9,4),
	`shape` enum('round','oval','pear'),
	`outcome` enum('ok','hard','burst') NOT NULL,
	`taken_at` datetime(3) NOT NULL,
	CONSTRAINT `readings_id` PRIMARY KEY(`id`),
	CONSTRAINT `readings_dose` CHECK(dose > 0),
	CONSTRAINT `readings_width` CHECK((width_mm is not null and width_mm > 0) or outcome = 'burst')
);
--> statement-breakpoint
CREATE TABLE `sizer_holes` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`sizer_id` char(36) NOT NULL,
	`label` varchar(20) NOT NULL,
	`width_mm` decimal(9,4) NOT NULL,
	CONSTRAINT `sizer_holes_id` PRIMARY KEY(`id`),
	CONSTRAINT `sizer_holes_width` UNIQUE(`sizer_id`,`width_mm`),
	CONSTRAINT `sizer_holes_positive` CHECK(width_mm > 0)
);
--> statement-breakpoint
CREATE TABLE `sizers` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `sizers_id` PRIMARY KEY(`id`),
	CONSTRAINT `sizers_scope` UNIQUE(`id`,`studio_id`)
);
--> statement-breakpoint
CREATE TABLE `studios` (
	`id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`unit` enum('in','cm') NOT NULL,
	`step_mm` decimal(9,4) NOT NULL,
	`days_standing` smallint NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `studios_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `tiers` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`fraction` decimal(6,4) NOT NULL,
	`purpose` varchar(120) NOT NULL,
	`position` smallint NOT NULL,
	CONSTRAINT `tiers_id` PRIMARY KEY(`id`),
	CONSTRAINT `tiers_scope` UNIQUE(`id`,`studio_id`),
	CONSTRAINT `tiers_fraction` CHECK(fraction > 0 and fraction <= 1.2)
);
--> statement-breakpoint
ALTER TABLE `accepted_targets` ADD CONSTRAINT `accepted_targets_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `accepted_targets` ADD CONSTRAINT `accepted_targets_tier_id_tiers_id_fk` FOREIGN KEY (`tier_id`) REFERENCES `tiers`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `accepted_targets` ADD CONSTRAINT `accepted_targets_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `calibrations` ADD CONSTRAINT `calibrations_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `calibrations` ADD CONSTRAINT `calibrations_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `calibrations` ADD CONSTRAINT `calibrations_pump` FOREIGN KEY (`pump_id`,`studio_id`) REFERENCES `pumps`(`id`,`studio_id`) ON DELETE restrict ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `check_results` ADD CONSTRAINT `check_results_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `check_results` ADD CONSTRAINT `check_results_check` FOREIGN KEY (`check_id`,`studio_id`) REFERENCES `checks`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `checks` ADD CONSTRAINT `checks_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `checks` ADD CONSTRAINT `checks_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `models` ADD CONSTRAINT `models_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `pumps` ADD CONSTRAINT `pumps_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `readings` ADD CONSTRAINT `readings_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `readings` ADD CONSTRAINT `readings_calibration` FOREIGN KEY (`calibration_id`,`studio_id`) REFERENCES `calibrations`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `sizer_holes` ADD CONSTRAINT `sizer_holes_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `sizer_holes` ADD CONSTRAINT `sizer_holes_sizer` FOREIGN KEY (`sizer_id`,`studio_id`) REFERENCES `sizers`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `sizers` ADD CONSTRAINT `sizers_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `tiers` ADD CONSTRAINT `tiers_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `calibrations_list` ON `calibrations` (`studio_id`,`model_id`,`started_at`);--> statement-breakpoint
CREATE INDEX `checks_list` ON `checks` (`studio_id`,`model_id`,`started_at`);--> statement-breakpoint
CREATE INDEX `models_list` ON `models` (`studio_id`,`line`,`nominal_mm`);--> statement-breakpoint
CREATE INDEX `pumps_list` ON `pumps` (`studio_id`,`name`);--> statement-breakpoint
CREATE INDEX `readings_list` ON `readings` (`calibration_id`,`taken_at`);--> statement-breakpoint
CREATE INDEX `sizers_list` ON `sizers` (`studio_id`,`name`);--> statement-breakpoint
CREATE INDEX `tiers_list` ON `tiers` (`studio_id`,`position`);