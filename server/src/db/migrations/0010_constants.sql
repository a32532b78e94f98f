CREATE TABLE `constants` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`constant_key` varchar(60) NOT NULL,
	`value` decimal(13,6) NOT NULL,
	`revision` smallint NOT NULL,
	CONSTRAINT `constants_id` PRIMARY KEY(`id`),
	CONSTRAINT `constants_scope` UNIQUE(`id`,`studio_id`),
	CONSTRAINT `constants_revision` UNIQUE(`studio_id`,`constant_key`,`revision`)
);
--> statement-breakpoint
ALTER TABLE `constants` ADD CONSTRAINT `constants_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;