CREATE TABLE `appliances` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`fixture_id` text NOT NULL,
	`height_mm` real NOT NULL,
	`air_mm` real NOT NULL,
	`fixed` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `appliances_by_room` ON `appliances` (`room_id`);--> statement-breakpoint
CREATE TABLE `build_ups` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`panel_mm` real NOT NULL,
	`film_mm` real NOT NULL,
	`underlay_mm` real,
	`k_pa_at_half_mm` real NOT NULL,
	`set_share` real NOT NULL,
	`covering_mm` real,
	`covering_kg_m2` real NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `build_ups_by_room` ON `build_ups` (`room_id`);--> statement-breakpoint
CREATE TABLE `flights` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`opening_id` text NOT NULL,
	`risers_mm` text NOT NULL,
	`leads` text NOT NULL,
	`other_mm` real NOT NULL,
	`tread_mm` real,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `flights_by_room` ON `flights` (`room_id`);--> statement-breakpoint
CREATE TABLE `leaves` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`opening_id` text NOT NULL,
	`kind` text NOT NULL,
	`drop_seal` integer NOT NULL,
	`cut_before_mm` real NOT NULL,
	`opens_deg` real NOT NULL,
	`air_mm` real,
	`rug_mm` real NOT NULL,
	`frame` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `leaves_by_room` ON `leaves` (`room_id`);--> statement-breakpoint
CREATE TABLE `levels` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`of` text NOT NULL,
	`about_id` text NOT NULL,
	`along_mm` real NOT NULL,
	`read_by` text NOT NULL,
	`setup_id` text,
	`rod_mm` real,
	`over_mm` real,
	`lying_mm` real,
	`datum_mm` real,
	`taken_at` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `levels_by_room` ON `levels` (`room_id`);--> statement-breakpoint
CREATE TABLE `partings` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`opening_id` text NOT NULL,
	`asked` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `partings_by_room` ON `partings` (`room_id`);--> statement-breakpoint
CREATE TABLE `poses` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`x_mm` real NOT NULL,
	`y_mm` real NOT NULL,
	`turn_deg` real NOT NULL,
	`own` integer NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `poses_by_room` ON `poses` (`room_id`);--> statement-breakpoint
CREATE TABLE `skirtings` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`wall` integer NOT NULL,
	`board_mm` real NOT NULL,
	`waver` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `skirtings_by_room` ON `skirtings` (`room_id`);