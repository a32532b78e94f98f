CREATE TABLE `eye_balloons` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`eye_check_id` char(36) NOT NULL,
	`position` smallint NOT NULL,
	`width_mm` decimal(9,4),
	`filled_at` datetime(3) NOT NULL,
	CONSTRAINT `eye_balloons_id` PRIMARY KEY(`id`),
	CONSTRAINT `eye_balloons_place` UNIQUE(`eye_check_id`,`position`),
	CONSTRAINT `eye_balloons_width` CHECK(coalesce(width_mm > 0, true))
);
--> statement-breakpoint
CREATE TABLE `eye_checks` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`mode` enum('one','two','pairs') NOT NULL,
	`person_id` char(36) NOT NULL,
	`second_person_id` char(36),
	`model_id` char(36) NOT NULL,
	`target_mm` decimal(9,4) NOT NULL,
	`size` smallint NOT NULL,
	`started_at` datetime(3) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `eye_checks_id` PRIMARY KEY(`id`),
	CONSTRAINT `eye_checks_scope` UNIQUE(`id`,`studio_id`),
	CONSTRAINT `eye_checks_size` CHECK(size >= 2 and target_mm > 0)
);
--> statement-breakpoint
CREATE TABLE `hole_measurements` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`hole_id` char(36) NOT NULL,
	`across_mm` decimal(9,4) NOT NULL,
	`down_mm` decimal(9,4),
	`way` enum('caliper','tape','bar') NOT NULL,
	`taken_at` datetime(3) NOT NULL,
	CONSTRAINT `hole_measurements_id` PRIMARY KEY(`id`),
	CONSTRAINT `hole_measurements_positive` CHECK(across_mm > 0 and coalesce(down_mm > 0, true))
);
--> statement-breakpoint
CREATE TABLE `people` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`owner` boolean NOT NULL DEFAULT false,
	`pin_hash` varchar(200),
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `people_id` PRIMARY KEY(`id`),
	CONSTRAINT `people_scope` UNIQUE(`id`,`studio_id`)
);
--> statement-breakpoint
CREATE TABLE `sizings` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`hole_id` char(36) NOT NULL,
	`nominal_mm` decimal(9,4) NOT NULL,
	`width_mm` decimal(9,4) NOT NULL,
	`taken_at` datetime(3) NOT NULL,
	CONSTRAINT `sizings_id` PRIMARY KEY(`id`),
	CONSTRAINT `sizings_positive` CHECK(nominal_mm > 0 and width_mm > 0)
);
--> statement-breakpoint
CREATE TABLE `studies` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`subject` varchar(80) NOT NULL,
	`balloons` smallint NOT NULL,
	`repeats` smallint NOT NULL,
	`started_at` datetime(3) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `studies_id` PRIMARY KEY(`id`),
	CONSTRAINT `studies_scope` UNIQUE(`id`,`studio_id`),
	CONSTRAINT `studies_size` CHECK(balloons >= 2 and repeats >= 2)
);
--> statement-breakpoint
CREATE TABLE `study_people` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`study_id` char(36) NOT NULL,
	`position` smallint NOT NULL,
	`name` varchar(80) NOT NULL,
	CONSTRAINT `study_people_id` PRIMARY KEY(`id`),
	CONSTRAINT `study_people_place` UNIQUE(`study_id`,`position`)
);
--> statement-breakpoint
CREATE TABLE `study_widths` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`study_id` char(36) NOT NULL,
	`balloon` smallint NOT NULL,
	`person` smallint NOT NULL,
	`repeat_no` smallint NOT NULL,
	`width_mm` decimal(9,4) NOT NULL,
	`taken_at` datetime(3) NOT NULL,
	CONSTRAINT `study_widths_id` PRIMARY KEY(`id`),
	CONSTRAINT `study_widths_cell` UNIQUE(`study_id`,`balloon`,`person`,`repeat_no`),
	CONSTRAINT `study_widths_positive` CHECK(width_mm > 0)
);
--> statement-breakpoint
ALTER TABLE `check_results` DROP CONSTRAINT `check_results_one`;--> statement-breakpoint
ALTER TABLE `check_results` ADD `stops_hole_id` char(36);--> statement-breakpoint
ALTER TABLE `check_results` ADD `passes_hole_id` char(36);--> statement-breakpoint
ALTER TABLE `check_results` ADD `stops_mm` decimal(9,4);--> statement-breakpoint
ALTER TABLE `check_results` ADD `passes_mm` decimal(9,4);--> statement-breakpoint
ALTER TABLE `checks` ADD `lot_size` smallint;--> statement-breakpoint
ALTER TABLE `checks` ADD `accept_most` smallint;--> statement-breakpoint
ALTER TABLE `checks` ADD `pairs` boolean DEFAULT false NOT NULL;--> statement-breakpoint
ALTER TABLE `checks` ADD `hole_id` char(36);--> statement-breakpoint
ALTER TABLE `checks` ADD `hole_mm` decimal(9,4);--> statement-breakpoint
ALTER TABLE `readings` ADD `hole_id` char(36);--> statement-breakpoint
ALTER TABLE `readings` ADD `stops_hole_id` char(36);--> statement-breakpoint
ALTER TABLE `sizers` ADD `keeper` varchar(80) DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `sizer_holes` ADD CONSTRAINT `sizer_holes_scope` UNIQUE(`id`,`studio_id`);--> statement-breakpoint
ALTER TABLE `eye_balloons` ADD CONSTRAINT `eye_balloons_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `eye_balloons` ADD CONSTRAINT `eye_balloons_check` FOREIGN KEY (`eye_check_id`,`studio_id`) REFERENCES `eye_checks`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `eye_checks` ADD CONSTRAINT `eye_checks_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `eye_checks` ADD CONSTRAINT `eye_checks_person` FOREIGN KEY (`person_id`,`studio_id`) REFERENCES `people`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `eye_checks` ADD CONSTRAINT `eye_checks_second` FOREIGN KEY (`second_person_id`,`studio_id`) REFERENCES `people`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `eye_checks` ADD CONSTRAINT `eye_checks_model` FOREIGN KEY (`model_id`,`studio_id`) REFERENCES `models`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `hole_measurements` ADD CONSTRAINT `hole_measurements_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `hole_measurements` ADD CONSTRAINT `hole_measurements_hole` FOREIGN KEY (`hole_id`,`studio_id`) REFERENCES `sizer_holes`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `people` ADD CONSTRAINT `people_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `sizings` ADD CONSTRAINT `sizings_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `sizings` ADD CONSTRAINT `sizings_hole` FOREIGN KEY (`hole_id`,`studio_id`) REFERENCES `sizer_holes`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `studies` ADD CONSTRAINT `studies_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `study_people` ADD CONSTRAINT `study_people_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `study_people` ADD CONSTRAINT `study_people_study` FOREIGN KEY (`study_id`,`studio_id`) REFERENCES `studies`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `study_widths` ADD CONSTRAINT `study_widths_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `study_widths` ADD CONSTRAINT `study_widths_study` FOREIGN KEY (`study_id`,`studio_id`) REFERENCES `studies`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `eye_checks_list` ON `eye_checks` (`studio_id`,`person_id`,`started_at`);--> statement-breakpoint
CREATE INDEX `hole_measurements_list` ON `hole_measurements` (`studio_id`,`taken_at`);--> statement-breakpoint
CREATE INDEX `people_list` ON `people` (`studio_id`,`name`);--> statement-breakpoint
CREATE INDEX `sizings_list` ON `sizings` (`studio_id`,`taken_at`);--> statement-breakpoint
CREATE INDEX `studies_list` ON `studies` (`studio_id`,`started_at`);--> statement-breakpoint
ALTER TABLE `check_results` ADD CONSTRAINT `check_results_kind` CHECK ((answer is not null) + (width_mm is not null) + (stops_mm is not null or passes_mm is not null) = 1);--> statement-breakpoint
ALTER TABLE `check_results` ADD CONSTRAINT `check_results_stops_hole_id_sizer_holes_id_fk` FOREIGN KEY (`stops_hole_id`) REFERENCES `sizer_holes`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `check_results` ADD CONSTRAINT `check_results_passes_hole_id_sizer_holes_id_fk` FOREIGN KEY (`passes_hole_id`) REFERENCES `sizer_holes`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `checks` ADD CONSTRAINT `checks_hole_id_sizer_holes_id_fk` FOREIGN KEY (`hole_id`) REFERENCES `sizer_holes`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `readings` ADD CONSTRAINT `readings_hole_id_sizer_holes_id_fk` FOREIGN KEY (`hole_id`) REFERENCES `sizer_holes`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `readings` ADD CONSTRAINT `readings_stops_hole_id_sizer_holes_id_fk` FOREIGN KEY (`stops_hole_id`) REFERENCES `sizer_holes`(`id`) ON DELETE set null ON UPDATE no action;