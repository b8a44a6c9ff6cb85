CREATE TABLE `works` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`way` text NOT NULL,
	`done_at` text NOT NULL,
	`product` text NOT NULL,
	`batch` text NOT NULL,
	`bags_planned` real NOT NULL,
	`bags_used` real,
	`temp_c` real,
	`rh_percent` real,
	`note` text NOT NULL,
	`predicted` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `works_by_room` ON `works` (`room_id`);