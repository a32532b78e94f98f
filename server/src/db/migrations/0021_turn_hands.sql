CREATE TABLE `turn_hands` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`turn_id` char(36) NOT NULL,
	`person_id` char(36) NOT NULL,
	CONSTRAINT `turn_hands_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
ALTER TABLE `turn_hands` ADD CONSTRAINT `turn_hands_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `turn_hands` ADD CONSTRAINT `turn_hands_turn` FOREIGN KEY (`turn_id`,`studio_id`) REFERENCES `turns`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `turn_hands` ADD CONSTRAINT `turn_hands_person` FOREIGN KEY (`person_id`,`studio_id`) REFERENCES `people`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;