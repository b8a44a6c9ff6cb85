CREATE TABLE `kept_plans` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`kept_at` text NOT NULL,
	`edition` integer NOT NULL,
	`places` text NOT NULL,
	`in_order` text NOT NULL,
	`laying_at` text,
	`promised_day` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `kept_plans_by_job` ON `kept_plans` (`job_id`);--> statement-breakpoint
CREATE TABLE `site_days` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`day` text NOT NULL,
	`is_free` integer NOT NULL,
	`from_min` integer NOT NULL,
	`to_min` integer NOT NULL,
	`whose` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `site_days_by_job` ON `site_days` (`job_id`);--> statement-breakpoint
CREATE TABLE `site_weeks` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`hours` text NOT NULL,
	`holidays` text NOT NULL,
	`loud_from_min` integer NOT NULL,
	`loud_to_min` integer NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `site_weeks_by_job` ON `site_weeks` (`job_id`);--> statement-breakpoint
CREATE TABLE `task_holds` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`key` text NOT NULL,
	`not_before` text,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `task_holds_by_job` ON `task_holds` (`job_id`);--> statement-breakpoint
CREATE TABLE `furnishings` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`of_room_id` text NOT NULL,
	`goes` text NOT NULL,
	`to_room_id` text,
	`hours` real NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `furnishings_by_job` ON `furnishings` (`job_id`);--> statement-breakpoint
CREATE TABLE `surprises` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`of_room_id` text NOT NULL,
	`what` text NOT NULL,
	`trigger` text NOT NULL,
	`share_pct` real NOT NULL,
	`hours` real NOT NULL,
	`wait_h` real NOT NULL,
	`cost` real NOT NULL,
	`before` text NOT NULL,
	`state` text NOT NULL,
	`is_making_safe` integer NOT NULL,
	`found_at` text,
	`decided_by` text NOT NULL,
	`decided_on` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `surprises_by_job` ON `surprises` (`job_id`);--> statement-breakpoint
CREATE TABLE `ways_in` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`of_room_id` text NOT NULL,
	`is_own` integer NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `ways_in_by_job` ON `ways_in` (`job_id`);--> statement-breakpoint
CREATE TABLE `pack_counts` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`product_id` text NOT NULL,
	`bought_on` text NOT NULL,
	`bought` integer NOT NULL,
	`opened` integer NOT NULL,
	`planned` integer NOT NULL,
	`batch` text NOT NULL,
	`use_by` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `pack_counts_by_job` ON `pack_counts` (`job_id`);--> statement-breakpoint
CREATE TABLE `prices` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`product_id` text NOT NULL,
	`name` text NOT NULL,
	`unit` text NOT NULL,
	`pack` real NOT NULL,
	`price` real NOT NULL,
	`has_tax` integer NOT NULL,
	`supplier` text NOT NULL,
	`priced_on` text NOT NULL,
	`kg` real NOT NULL,
	`litres` real NOT NULL,
	`opened_h` real,
	`sealed_days` integer,
	`source` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `prices_by_job` ON `prices` (`job_id`);--> statement-breakpoint
CREATE TABLE `quotations` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`number` integer NOT NULL,
	`given_at` text NOT NULL,
	`valid_days` integer NOT NULL,
	`lines` text NOT NULL,
	`net_cents` integer NOT NULL,
	`tax_cents` integer NOT NULL,
	`gross_cents` integer NOT NULL,
	`contingency_cents` integer NOT NULL,
	`promised_day` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `quotations_by_job` ON `quotations` (`job_id`);