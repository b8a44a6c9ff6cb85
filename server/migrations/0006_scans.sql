CREATE TABLE `scans` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`file_name` text NOT NULL,
	`points` integer NOT NULL,
	`taken_at` text NOT NULL,
	`cell_mm` real NOT NULL,
	`nx` integer NOT NULL,
	`ny` integer NOT NULL,
	`x0_mm` real NOT NULL,
	`y0_mm` real NOT NULL,
	`heights_tenth_mm` text NOT NULL,
	`noise_mm` real NOT NULL,
	`turn_deg` real NOT NULL,
	`x_mm` real NOT NULL,
	`y_mm` real NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `scans_by_room` ON `scans` (`room_id`);