CREATE TABLE `cards` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`thickness_mm` real NOT NULL,
	`attached_pad` integer NOT NULL,
	`rules` text NOT NULL,
	`step_mm` real,
	`cement_limit_rh` real NOT NULL,
	`timber_limit_mc` real NOT NULL,
	`air_min_c` real NOT NULL,
	`air_max_c` real NOT NULL,
	`air_min_rh` real NOT NULL,
	`air_max_rh` real NOT NULL,
	`acclimatise_h` real NOT NULL,
	`perimeter_gap_mm` real NOT NULL,
	`last_row_mm` real NOT NULL,
	`end_piece_mm` real NOT NULL,
	`stagger_mm` real NOT NULL,
	`longest_run_m` real,
	`source` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `jobs` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`name` text NOT NULL,
	`about` text NOT NULL,
	`rank` real NOT NULL
);
--> statement-breakpoint
CREATE TABLE `readings` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`setup_id` text NOT NULL,
	`station_key` text NOT NULL,
	`x_mm` real NOT NULL,
	`y_mm` real NOT NULL,
	`rod_mm` real NOT NULL,
	`taken_at` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action,
	FOREIGN KEY (`setup_id`) REFERENCES `setups`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `readings_by_room` ON `readings` (`room_id`);--> statement-breakpoint
CREATE TABLE `revisions` (
	`kind` text NOT NULL,
	`fact_id` text NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`body` text NOT NULL,
	PRIMARY KEY(`kind`, `fact_id`, `version`)
);
--> statement-breakpoint
CREATE TABLE `rooms` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`job_id` text NOT NULL,
	`name` text NOT NULL,
	`rank` real NOT NULL,
	`walls` text NOT NULL,
	`door` text,
	`base_kind` text NOT NULL,
	`card_id` text NOT NULL,
	`units` text NOT NULL,
	`spacing_mm` real,
	`contacts_only` integer NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `rooms_by_job` ON `rooms` (`job_id`);--> statement-breakpoint
CREATE TABLE `setups` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`name` text NOT NULL,
	`open_rod_mm` real,
	`close_rod_mm` real,
	`started_at` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `setups_by_room` ON `setups` (`room_id`);--> statement-breakpoint
CREATE TABLE `stations` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`room_id` text NOT NULL,
	`replaces_key` text,
	`x_mm` real NOT NULL,
	`y_mm` real NOT NULL,
	`dropped` integer NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `stations_by_room` ON `stations` (`room_id`);