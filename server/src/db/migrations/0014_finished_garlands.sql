CREATE TABLE `finished_garlands` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`kinds` longtext NOT NULL,
	`clusters` smallint NOT NULL,
	`length_mm` decimal(9,4) NOT NULL,
	`taken_at` datetime(3) NOT NULL,
	CONSTRAINT `finished_garlands_id` PRIMARY KEY(`id`),
	CONSTRAINT `finished_garlands_kinds` CHECK(json_valid(kinds))
);
--> statement-breakpoint
ALTER TABLE `finished_garlands` ADD CONSTRAINT `finished_garlands_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `finished_garlands_list` ON `finished_garlands` (`studio_id`,`taken_at`);