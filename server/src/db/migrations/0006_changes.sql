CREATE TABLE `changes` (
	`studio_id` char(36) NOT NULL,
	`noun` varchar(24) NOT NULL,
	`row_id` char(36) NOT NULL,
	`there` boolean NOT NULL,
	`revision` bigint NOT NULL,
	CONSTRAINT `changes_studio_id_noun_row_id_there_pk` PRIMARY KEY(`studio_id`,`noun`,`row_id`,`there`)
);
--> statement-breakpoint
ALTER TABLE `studios` ADD `revision` bigint DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `changes` ADD CONSTRAINT `changes_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `changes_feed` ON `changes` (`studio_id`,`revision`,`noun`,`row_id`,`there`);