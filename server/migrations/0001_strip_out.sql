CREATE TABLE `answers` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`topic` text NOT NULL,
	`value` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `answers_by_room` ON `answers` (`room_id`);--> statement-breakpoint
CREATE TABLE `figures` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`job_id` text NOT NULL,
	`name` text NOT NULL,
	`value` real NOT NULL,
	`source` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `figures_by_job` ON `figures` (`job_id`);--> statement-breakpoint
CREATE TABLE `layers` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`kind` text NOT NULL,
	`rank` real NOT NULL,
	`thickness_mm` real NOT NULL,
	`fixing` text NOT NULL,
	`year` integer,
	`year_of` text NOT NULL,
	`condition` text NOT NULL,
	`where_sides` text NOT NULL,
	`seams` text NOT NULL,
	`grout_mm` real,
	`grout_depth_mm` real,
	`lippage_mm` real,
	`found_at` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `layers_by_room` ON `layers` (`room_id`);--> statement-breakpoint
CREATE TABLE `marks` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`kind` text NOT NULL,
	`x_mm` real NOT NULL,
	`y_mm` real NOT NULL,
	`size_mm` real,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `marks_by_room` ON `marks` (`room_id`);--> statement-breakpoint
CREATE TABLE `photos` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`about` text NOT NULL,
	`about_id` text NOT NULL,
	`x_mm` real,
	`y_mm` real,
	`taken_at` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `photos_by_room` ON `photos` (`room_id`);--> statement-breakpoint
CREATE TABLE `pictures` (
	`photo_id` text PRIMARY KEY NOT NULL,
	`sha256` text NOT NULL,
	`bytes` integer NOT NULL,
	`width_px` integer NOT NULL,
	`height_px` integer NOT NULL,
	`stored_at` text NOT NULL,
	FOREIGN KEY (`photo_id`) REFERENCES `photos`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE TABLE `samples` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`layer_id` text NOT NULL,
	`part` text NOT NULL,
	`where_sides` text NOT NULL,
	`sample_no` text NOT NULL,
	`laboratory` text NOT NULL,
	`result_on` text NOT NULL,
	`result` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `samples_by_room` ON `samples` (`room_id`);--> statement-breakpoint
CREATE TABLE `taps` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`layer_id` text NOT NULL,
	`x_mm` real NOT NULL,
	`y_mm` real NOT NULL,
	`sound` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `taps_by_room` ON `taps` (`room_id`);--> statement-breakpoint
CREATE TABLE `ticks` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`key` text NOT NULL,
	`done_at` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ticks_by_room` ON `ticks` (`room_id`);--> statement-breakpoint
ALTER TABLE `cards` ADD `lay_over` text DEFAULT '["tile","resilient","wood","mineral"]' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `country` text;--> statement-breakpoint
ALTER TABLE `jobs` ADD `currency` text DEFAULT '' NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `asbestos_from` real;--> statement-breakpoint
ALTER TABLE `jobs` ADD `lead_from` real;--> statement-breakpoint
ALTER TABLE `rooms` ADD `start` text DEFAULT '{"xMm":0,"yMm":0,"headingDeg":0}' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `diagonals` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `openings` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `fixtures` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `lines` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `base` text DEFAULT '{"slabMm":null,"beneath":"unknown","grade":"unknown","heating":"unknown","heatingDepthMm":null,"joistDeg":null,"joistSpacingMm":null,"panelLongMm":null,"panelShortMm":null,"seamXMm":null,"seamYMm":null}' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `second_base` text;
--> statement-breakpoint
-- A room's one door becomes the first of its openings.
UPDATE `rooms` SET `openings` = json_array(json_set(json(`door`), '$.id', 'door-1', '$.kind', 'door', '$.beyond', 'unknown', '$.beyondLevelMm', NULL, '$.sharedId', NULL)) WHERE `door` IS NOT NULL AND `door` <> 'null';
--> statement-breakpoint
-- Replaced versions are kept in today's shape too, so that a job file carries them.
UPDATE `revisions` SET `body` = json_set(`body`,
  '$.openings', CASE WHEN json_type(`body`, '$.door') = 'object' THEN json_array(json_set(json(json_extract(`body`, '$.door')), '$.id', 'door-1', '$.kind', 'door', '$.beyond', 'unknown', '$.beyondLevelMm', NULL, '$.sharedId', NULL)) ELSE json_array() END,
  '$.start', json('{"xMm":0,"yMm":0,"headingDeg":0}'), '$.diagonals', json_array(), '$.fixtures', json_array(), '$.lines', json_array(),
  '$.base', json('{"slabMm":null,"beneath":"unknown","grade":"unknown","heating":"unknown","heatingDepthMm":null,"joistDeg":null,"joistSpacingMm":null,"panelLongMm":null,"panelShortMm":null,"seamXMm":null,"seamYMm":null}'), '$.secondBase', NULL) WHERE `kind` = 'rooms';
--> statement-breakpoint
UPDATE `revisions` SET `body` = json_remove(`body`, '$.door') WHERE `kind` = 'rooms';
--> statement-breakpoint
UPDATE `revisions` SET `body` = json_set(`body`, '$.country', NULL, '$.currency', '', '$.asbestosFrom', NULL, '$.leadFrom', NULL) WHERE `kind` = 'jobs';
--> statement-breakpoint
UPDATE `revisions` SET `body` = json_set(`body`, '$.layOver', json('["tile","resilient","wood","mineral"]')) WHERE `kind` = 'cards';
