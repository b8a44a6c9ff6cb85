CREATE TABLE `films` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`name` text NOT NULL,
	`thickness_mm` real NOT NULL,
	`sd_m` real NOT NULL,
	`r_m2_k_w` real NOT NULL,
	`roll_width_mm` real NOT NULL,
	`roll_length_mm` real NOT NULL,
	`is_radon_rated` integer NOT NULL,
	`cost_m2` real NOT NULL,
	`source` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `membranes` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`name` text NOT NULL,
	`binder` text NOT NULL,
	`limit_rh` real NOT NULL,
	`primer_kg_m2` real NOT NULL,
	`primer_h` real NOT NULL,
	`coats` integer NOT NULL,
	`coat_kg_m2` real NOT NULL,
	`next_from_h` real NOT NULL,
	`next_to_h` real NOT NULL,
	`pot_life_min` real NOT NULL,
	`tub_kg` real NOT NULL,
	`takes_compound` integer NOT NULL,
	`takes_adhesive` integer NOT NULL,
	`hard_h` real NOT NULL,
	`cost_m2` real NOT NULL,
	`source` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `panels` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`name` text NOT NULL,
	`stuff` text NOT NULL,
	`thickness_mm` real NOT NULL,
	`length_mm` real NOT NULL,
	`width_mm` real NOT NULL,
	`gap_mm` real NOT NULL,
	`r_m2_k_w` real NOT NULL,
	`kg_m2` real NOT NULL,
	`has_dimples` integer NOT NULL,
	`cost_each` real NOT NULL,
	`source` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `underlays` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`name` text NOT NULL,
	`kind` text NOT NULL,
	`thickness_mm` real NOT NULL,
	`k_pa` real,
	`set_share` real NOT NULL,
	`r_m2_k_w` real,
	`sd_m` real,
	`film_sd_m` real NOT NULL,
	`step_db` real,
	`step_db_on` text NOT NULL,
	`conforms_mm` real,
	`heat_rated` text NOT NULL,
	`is_tacky` integer NOT NULL,
	`roll_width_mm` real NOT NULL,
	`roll_length_mm` real NOT NULL,
	`cost_m2` real NOT NULL,
	`source` text NOT NULL
);
--> statement-breakpoint
CREATE TABLE `cable_tests` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`phase` text NOT NULL,
	`day` text NOT NULL,
	`ohm` real NOT NULL,
	`insulation_m_ohm` real NOT NULL,
	`by` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cable_tests_by_room` ON `cable_tests` (`room_id`);--> statement-breakpoint
CREATE TABLE `heat_days` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`phase` text NOT NULL,
	`day` text NOT NULL,
	`flow_c` real NOT NULL,
	`surface_c` real,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `heat_days_by_room` ON `heat_days` (`room_id`);--> statement-breakpoint
CREATE TABLE `under_choices` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`room_id` text NOT NULL,
	`underlay_id` text,
	`film_id` text,
	`membrane_id` text,
	`panel_id` text,
	`is_layer_chosen` integer NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`room_id`) REFERENCES `rooms`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `under_choices_by_room` ON `under_choices` (`room_id`);--> statement-breakpoint
ALTER TABLE `cards` ADD `heat_rated` text DEFAULT 'unsaid' NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `r_m2_k_w` real;--> statement-breakpoint
ALTER TABLE `cards` ADD `sd_m` real;--> statement-breakpoint
ALTER TABLE `cards` ADD `soft_allowed` text DEFAULT 'unsaid' NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `most_soft_mm` real;--> statement-breakpoint
ALTER TABLE `cards` ADD `least_k_pa` real;--> statement-breakpoint
ALTER TABLE `cards` ADD `film_on_timber` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `film_cures` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `bumps_mm` real DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `wet_room` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `fire_class` text DEFAULT 'unsaid' NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `plank_width_mm` real;--> statement-breakpoint
ALTER TABLE `cards` ADD `plank_length_mm` real;--> statement-breakpoint
ALTER TABLE `cards` ADD `pack_m2` real;--> statement-breakpoint
ALTER TABLE `cards` ADD `mass_kg_m2` real;