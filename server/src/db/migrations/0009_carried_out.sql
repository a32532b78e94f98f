CREATE TABLE `carried_out` (
	`studio_id` char(36) NOT NULL,
	`command_key` char(36) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `carried_out_studio_id_command_key_pk` PRIMARY KEY(`studio_id`,`command_key`)
);
--> statement-breakpoint
ALTER TABLE `carried_out` ADD CONSTRAINT `carried_out_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `carried_out_at` ON `carried_out` (`at`);