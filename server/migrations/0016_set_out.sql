CREATE TABLE `box_checks` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`batch` text NOT NULL,
	`locks` text NOT NULL,
	`straight` text NOT NULL,
	`colour` text NOT NULL,
	`prints` integer,
	`checked_at` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `box_checks_by_room` ON `box_checks` (`room_id`);--> statement-breakpoint
CREATE TABLE `damaged_planks` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`batch` text NOT NULL,
	`planks` integer NOT NULL,
	`what` text NOT NULL,
	`found_at` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `damaged_planks_by_room` ON `damaged_planks` (`room_id`);--> statement-breakpoint
CREATE TABLE `glue_bays` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`bay` integer NOT NULL,
	`spread_at` text NOT NULL,
	`laid_at` text,
	`rolled_at` text,
	`is_scraped` integer NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `glue_bays_by_room` ON `glue_bays` (`room_id`);--> statement-breakpoint
CREATE TABLE `glue_tests` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`zone` text NOT NULL,
	`begun_at` text NOT NULL,
	`tack_min` real,
	`is_held` integer,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `glue_tests_by_room` ON `glue_tests` (`room_id`);--> statement-breakpoint
CREATE TABLE `laid_rows` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`start_wall` integer NOT NULL,
	`hand` text NOT NULL,
	`first_mm` real NOT NULL,
	`row` integer NOT NULL,
	`strip` integer NOT NULL,
	`start_mm` real NOT NULL,
	`wholes` integer NOT NULL,
	`end_mm` real NOT NULL,
	`is_laid` integer NOT NULL,
	`laid_at` text NOT NULL,
	`batch` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `laid_rows_by_room` ON `laid_rows` (`room_id`);--> statement-breakpoint
CREATE TABLE `plank_boxes` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`batch` text NOT NULL,
	`boxes` integer NOT NULL,
	`planks_each` integer NOT NULL,
	`stood_at` text NOT NULL,
	`is_flat` integer NOT NULL,
	`is_off_concrete` integer NOT NULL,
	`is_off_outer_wall` integer NOT NULL,
	`is_off_vents_and_sun` integer NOT NULL,
	`is_opened` integer NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `plank_boxes_by_room` ON `plank_boxes` (`room_id`);--> statement-breakpoint
CREATE TABLE `set_outs` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`start_wall` integer,
	`hand` text NOT NULL,
	`pattern` text NOT NULL,
	`first_row` text NOT NULL,
	`first_mm` real,
	`light_wall` integer,
	`gaps` text NOT NULL,
	`through` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `set_outs_by_room` ON `set_outs` (`room_id`);