CREATE TABLE `approvals` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`about` text NOT NULL,
	`what` text NOT NULL,
	`is_approved` integer NOT NULL,
	`cents` integer NOT NULL,
	`promised_day` text NOT NULL,
	`by` text NOT NULL,
	`given_at` text NOT NULL,
	`page_sha256` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `approvals_by_job` ON `approvals` (`job_id`);--> statement-breakpoint
CREATE TABLE `contacts` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`name` text NOT NULL,
	`role` text NOT NULL,
	`reach` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `contacts_by_job` ON `contacts` (`job_id`);--> statement-breakpoint
CREATE TABLE `cover_ups` (
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
	`cover` text NOT NULL,
	`covered_at` text NOT NULL,
	`by` text NOT NULL,
	`missing` text NOT NULL,
	`reason` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `cover_ups_by_job` ON `cover_ups` (`job_id`);--> statement-breakpoint
CREATE TABLE `hand_overs` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`handed_at` text NOT NULL,
	`by` text NOT NULL,
	`signature` text NOT NULL,
	`spare_planks` integer NOT NULL,
	`batch` text NOT NULL,
	`furniture_from` text NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `hand_overs_by_job` ON `hand_overs` (`job_id`);--> statement-breakpoint
CREATE TABLE `seals` (
	`id` text PRIMARY KEY NOT NULL,
	`version` integer NOT NULL,
	`write_id` text NOT NULL,
	`updated_at` text NOT NULL,
	`deleted_at` text,
	`stored_order` integer DEFAULT 0 NOT NULL,
	`made` text,
	`first_place` text,
	`job_id` text NOT NULL,
	`sealed_at` text NOT NULL,
	`sealed_for` text NOT NULL,
	`of_room_id` text,
	`seal_sha256` text NOT NULL,
	`chain_sha256` text NOT NULL,
	`key_sha256` text NOT NULL,
	`facts` integer NOT NULL,
	`photographs` integer NOT NULL,
	`note` text NOT NULL,
	FOREIGN KEY (`job_id`) REFERENCES `jobs`(`id`) ON UPDATE no action ON DELETE no action
);
--> statement-breakpoint
CREATE INDEX `seals_by_job` ON `seals` (`job_id`);--> statement-breakpoint
CREATE TABLE `chain_lines` (
	`job_id` text NOT NULL,
	`line` integer NOT NULL,
	`kind` text NOT NULL,
	`fact_id` text NOT NULL,
	`version` integer NOT NULL,
	`is_hidden` integer NOT NULL,
	`salt` text,
	`digest` text NOT NULL,
	`fact` text NOT NULL,
	PRIMARY KEY(`job_id`, `line`)
);
--> statement-breakpoint
ALTER TABLE `photos` ADD `original_sha256` text DEFAULT '' NOT NULL;