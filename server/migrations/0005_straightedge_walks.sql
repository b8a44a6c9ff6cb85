CREATE TABLE `edge_walks` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`from_x_mm` real NOT NULL,
	`from_y_mm` real NOT NULL,
	`to_x_mm` real NOT NULL,
	`to_y_mm` real NOT NULL,
	`tool` text NOT NULL,
	`contacts` text NOT NULL,
	`gaps` text NOT NULL,
	`rocks_mm` real,
	`taken_at` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `edge_walks_by_room` ON `edge_walks` (`room_id`);