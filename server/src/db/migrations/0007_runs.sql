CREATE TABLE `runs` (
	`id` char(36) NOT NULL,
	`studio_id` char(36) NOT NULL,
	`piece_id` char(36) NOT NULL,
	`started_at` datetime(3) NOT NULL,
	`demo` boolean NOT NULL DEFAULT false,
	CONSTRAINT `runs_id` PRIMARY KEY(`id`),
	CONSTRAINT `runs_scope` UNIQUE(`id`,`studio_id`)
);
--> statement-breakpoint
ALTER TABLE `checks` ADD `run_id` char(36);--> statement-breakpoint
ALTER TABLE `checks` ADD `place` smallint;--> statement-breakpoint
ALTER TABLE `pieces` ADD CONSTRAINT `pieces_scope` UNIQUE(`id`,`studio_id`);--> statement-breakpoint
ALTER TABLE `runs` ADD CONSTRAINT `runs_studio_id_studios_id_fk` FOREIGN KEY (`studio_id`) REFERENCES `studios`(`id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `runs` ADD CONSTRAINT `runs_piece` FOREIGN KEY (`piece_id`,`studio_id`) REFERENCES `pieces`(`id`,`studio_id`) ON DELETE cascade ON UPDATE no action;--> statement-breakpoint
ALTER TABLE `checks` ADD CONSTRAINT `checks_run_id_runs_id_fk` FOREIGN KEY (`run_id`) REFERENCES `runs`(`id`) ON DELETE set null ON UPDATE no action;--> statement-breakpoint
-- Until now checks of one piece belonged together because they began within a second of one another. Such a run bears
-- the id of its first check.
INSERT INTO `runs` (`id`, `studio_id`, `piece_id`, `started_at`)
WITH `begun` AS (
	SELECT `id`, `studio_id`, `piece_id`, `started_at`,
		`started_at` - INTERVAL 1 SECOND < LAG(`started_at`) OVER (PARTITION BY `piece_id` ORDER BY `started_at`, `id`) AS `joins`
	FROM `checks` WHERE `piece_id` IS NOT NULL
)
SELECT `id`, `studio_id`, `piece_id`, `started_at` FROM `begun` WHERE `joins` IS NULL OR NOT `joins`;--> statement-breakpoint
UPDATE `checks` JOIN (
	SELECT `checks`.`id`, `runs`.`id` AS `run`,
		ROW_NUMBER() OVER (PARTITION BY `runs`.`id` ORDER BY `checks`.`started_at`, `checks`.`id`) - 1 AS `place`
	FROM `checks` JOIN `runs` ON `runs`.`piece_id` = `checks`.`piece_id` AND `runs`.`started_at` = (
		SELECT MAX(`earlier`.`started_at`) FROM `runs` AS `earlier`
		WHERE `earlier`.`piece_id` = `checks`.`piece_id` AND `earlier`.`started_at` <= `checks`.`started_at`
	)
) AS `grouped` ON `grouped`.`id` = `checks`.`id`
SET `checks`.`run_id` = `grouped`.`run`, `checks`.`place` = `grouped`.`place`;
