ALTER TABLE `answers` RENAME TO `answers_as_text`;
--> statement-breakpoint
DROP INDEX `answers_by_room`;
--> statement-breakpoint
ALTER TABLE `layers` RENAME COLUMN `where_sides` TO `where`;
--> statement-breakpoint
ALTER TABLE `samples` RENAME COLUMN `where_sides` TO `where`;
--> statement-breakpoint
ALTER TABLE `edge_walks` RENAME COLUMN `contacts` TO `contacts_mm`;
--> statement-breakpoint
CREATE TABLE `answers` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`question` text NOT NULL,
	`answer` text,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `answers_by_room` ON `answers` (`room_id`);
--> statement-breakpoint
CREATE TABLE `layer_choices` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`layer_id` text NOT NULL,
	`choice` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `layer_choices_by_room` ON `layer_choices` (`room_id`);
--> statement-breakpoint
CREATE TABLE `trim_fates` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`piece` text NOT NULL,
	`fate` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `trim_fates_by_room` ON `trim_fates` (`room_id`);
--> statement-breakpoint
CREATE TABLE `rises` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`place_id` text NOT NULL,
	`rise_mm` real,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `rises_by_room` ON `rises` (`room_id`);
