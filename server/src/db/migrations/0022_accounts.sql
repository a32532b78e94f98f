CREATE TABLE `account_sessions` (
	`id` char(36) NOT NULL,
	`account_id` char(36) NOT NULL,
	`token` varchar(64) character set ascii collate ascii_bin NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	`ip_address` varchar(64),
	`user_agent` varchar(1024),
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `account_sessions_id` PRIMARY KEY(`id`),
	CONSTRAINT `account_sessions_token` UNIQUE(`token`)
);
--> statement-breakpoint
CREATE TABLE `accounts` (
	`id` char(36) NOT NULL,
	`name` varchar(80) NOT NULL,
	`email` varchar(255) NOT NULL,
	`email_verified` boolean NOT NULL DEFAULT false,
	`image` varchar(255),
	`username` varchar(40),
	`display_username` varchar(40),
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `accounts_id` PRIMARY KEY(`id`),
	CONSTRAINT `accounts_email` UNIQUE(`email`),
	CONSTRAINT `accounts_username` UNIQUE(`username`)
);
--> statement-breakpoint
CREATE TABLE `asked_often` (
	`id` char(36) NOT NULL,
	`asked_key` varchar(255) NOT NULL,
	`count` int NOT NULL,
	`last_request` bigint NOT NULL,
	CONSTRAINT `asked_often_id` PRIMARY KEY(`id`),
	CONSTRAINT `asked_often_key` UNIQUE(`asked_key`)
);
--> statement-breakpoint
CREATE TABLE `credentials` (
	`id` char(36) NOT NULL,
	`user_id` char(36) NOT NULL,
	`account_id` varchar(64) NOT NULL,
	`provider_id` varchar(40) NOT NULL,
	`password` varchar(255),
	`access_token` text,
	`refresh_token` text,
	`id_token` text,
	`access_token_expires_at` datetime(3),
	`refresh_token_expires_at` datetime(3),
	`scope` varchar(255),
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `credentials_id` PRIMARY KEY(`id`),
	CONSTRAINT `credentials_of` UNIQUE(`user_id`,`provider_id`)
);
--> statement-breakpoint
CREATE TABLE `known_devices` (
	`account_id` char(36) NOT NULL,
	`device` char(64) NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `known_devices_account_id_device_pk` PRIMARY KEY(`account_id`,`device`)
);
--> statement-breakpoint
CREATE TABLE `passkeys` (
	`id` char(36) NOT NULL,
	`account_id` char(36) NOT NULL,
	`name` varchar(80),
	`public_key` text NOT NULL,
	`credential_id` varchar(512) character set ascii collate ascii_bin NOT NULL,
	`counter` int unsigned NOT NULL,
	`device_type` varchar(32) NOT NULL,
	`backed_up` boolean NOT NULL,
	`transports` varchar(255),
	`aaguid` varchar(64),
	`created_at` datetime(3),
	CONSTRAINT `passkeys_id` PRIMARY KEY(`id`),
	CONSTRAINT `passkeys_credential` UNIQUE(`credential_id`)
);
--> statement-breakpoint
CREATE TABLE `verifications` (
	`id` char(36) NOT NULL,
	`identifier` varchar(255) character set ascii collate ascii_bin NOT NULL,
	`value` text NOT NULL,
	`expires_at` datetime(3) NOT NULL,
	`created_at` datetime(3) NOT NULL,
	`updated_at` datetime(3) NOT NULL,
	CONSTRAINT `verifications_id` PRIMARY KEY(`id`)
);
--> statement-breakpoint
CREATE TABLE `wrong_tries` (
	`tried_key` char(64) NOT NULL,
	`count` int NOT NULL,
	`at` datetime(3) NOT NULL,
	CONSTRAINT `wrong_tries_tried_key` PRIMARY KEY(`tried_key`)
);
--> statement-breakpoint
CREATE TABLE `invitations` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`code_hash` char(64) NOT NULL,
	`name` varchar(80) NOT NULL,
	`role` enum('helper','maker','planner','owner') NOT NULL,
	`event_id` char(36),
	`until_at` datetime(3),
	`expires_at` datetime(3) NOT NULL,
	CONSTRAINT `invitations_id` PRIMARY KEY(`id`),
	CONSTRAINT `invitations_code` UNIQUE(`code_hash`)
);
--> statement-breakpoint
CREATE TABLE `members` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`account_id` char(36) NOT NULL,
	`role` enum('helper','maker','planner','owner') NOT NULL,
	`person_id` char(36),
	`event_id` char(36),
	`until_at` datetime(3),
	`since_at` datetime(3) NOT NULL,
	CONSTRAINT `members_id` PRIMARY KEY(`id`),
	CONSTRAINT `members_account` UNIQUE(`studio_id`,`account_id`)
);
--> statement-breakpoint
ALTER TABLE `account_sessions` ADD CONSTRAINT `account_sessions_account_id_accounts_id_fk` FOREIGN KEY (`account_id`) REFERENCES `accounts`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `credentials` ADD CONSTRAINT `credentials_user_id_accounts_id_fk` FOREIGN KEY (`user_id`) REFERENCES `accounts`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `known_devices` ADD CONSTRAINT `known_devices_account_id_accounts_id_fk` FOREIGN KEY (`account_id`) REFERENCES `accounts`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `passkeys` ADD CONSTRAINT `passkeys_account_id_accounts_id_fk` FOREIGN KEY (`account_id`) REFERENCES `accounts`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `invitations` ADD CONSTRAINT `invitations_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `invitations` ADD CONSTRAINT `invitations_event` FOREIGN KEY (`event_id`,`studio_id`) REFERENCES `events`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `members` ADD CONSTRAINT `members_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `members` ADD CONSTRAINT `members_account_id_accounts_id_fk` FOREIGN KEY (`account_id`) REFERENCES `accounts`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `members` ADD CONSTRAINT `members_person_id_people_id_fk` FOREIGN KEY (`person_id`) REFERENCES `people`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `members` ADD CONSTRAINT `members_event` FOREIGN KEY (`event_id`,`studio_id`) REFERENCES `events`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
CREATE INDEX `account_sessions_of` ON `account_sessions` (`account_id`);--> statement-breakpoint
CREATE INDEX `passkeys_of` ON `passkeys` (`account_id`);--> statement-breakpoint
CREATE INDEX `verifications_identifier` ON `verifications` (`identifier`);--> statement-breakpoint
CREATE INDEX `verifications_expires` ON `verifications` (`expires_at`);--> statement-breakpoint
CREATE INDEX `invitations_list` ON `invitations` (`studio_id`);--> statement-breakpoint
CREATE INDEX `members_of` ON `members` (`account_id`);