CREATE TABLE `air_logs` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`name` text NOT NULL,
	`instrument` text NOT NULL,
	`samples` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `air_logs_by_room` ON `air_logs` (`room_id`);--> statement-breakpoint
CREATE TABLE `air_readings` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`taken_at` text NOT NULL,
	`temp_c` real NOT NULL,
	`rh_percent` real NOT NULL,
	`surface_c` real,
	`instrument` text NOT NULL,
	`who` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `air_readings_by_room` ON `air_readings` (`room_id`);--> statement-breakpoint
CREATE TABLE `checks` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`key` text NOT NULL,
	`found` integer NOT NULL,
	`taken_at` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `checks_by_room` ON `checks` (`room_id`);--> statement-breakpoint
CREATE TABLE `damp_readings` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`test_id` text NOT NULL,
	`taken_at` text NOT NULL,
	`value` real NOT NULL,
	`sample_g` real,
	`temp_c` real,
	`who` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `damp_readings_by_room` ON `damp_readings` (`room_id`);--> statement-breakpoint
CREATE TABLE `damp_tests` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`method` text NOT NULL,
	`name` text NOT NULL,
	`x_mm` real NOT NULL,
	`y_mm` real NOT NULL,
	`started_at` text,
	`depth_mm` real,
	`start_g` real,
	`area_m2` real,
	`of` text NOT NULL,
	`offset_percent` real NOT NULL,
	`compensates` integer NOT NULL,
	`instrument` text NOT NULL,
	`checked_on` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `damp_tests_by_room` ON `damp_tests` (`room_id`);--> statement-breakpoint
ALTER TABLE `marks` ADD `shape` text DEFAULT 'point' NOT NULL;--> statement-breakpoint
ALTER TABLE `marks` ADD `points` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `marks` ADD `depth_mm` real;--> statement-breakpoint
ALTER TABLE `marks` ADD `step_mm` real;--> statement-breakpoint
ALTER TABLE `marks` ADD `move_mm` real;--> statement-breakpoint
ALTER TABLE `marks` ADD `severity` text DEFAULT 'clear' NOT NULL;--> statement-breakpoint
ALTER TABLE `marks` ADD `moving` integer DEFAULT false NOT NULL;--> statement-breakpoint
UPDATE `revisions` SET `body` = json_patch('{"shape":"point","points":[],"severity":"clear","moving":false}', `body`) WHERE `kind` = 'marks' AND json_type(`body`, '$.shape') IS NULL;--> statement-breakpoint
UPDATE `revisions` SET `body` = json_set(`body`, '$.depthMm', NULL, '$.stepMm', NULL, '$.moveMm', NULL) WHERE `kind` = 'marks' AND json_type(`body`, '$.depthMm') IS NULL;
