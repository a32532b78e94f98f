CREATE TABLE `deeds` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`revision` bigint NOT NULL,
	`at` datetime(3) NOT NULL,
	`account_id` char(36),
	`name` varchar(80),
	`told` longtext NOT NULL,
	`kept` longtext,
	`row_count` int NOT NULL,
	`is_private` boolean NOT NULL,
	`undone_by` char(36),
	`undoes` char(36),
	CONSTRAINT `deeds_id` PRIMARY KEY(`id`),
	CONSTRAINT `deeds_revision` UNIQUE(`studio_id`,`revision`)
);
--> statement-breakpoint
ALTER TABLE `deeds` ADD CONSTRAINT `deeds_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `deeds_at` ON `deeds` (`at`);