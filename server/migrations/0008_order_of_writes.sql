ALTER TABLE `jobs` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `jobs` ADD `made` text;--> statement-breakpoint
ALTER TABLE `jobs` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `cards` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `made` text;--> statement-breakpoint
ALTER TABLE `cards` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `rooms` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `made` text;--> statement-breakpoint
ALTER TABLE `rooms` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `figures` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `figures` ADD `made` text;--> statement-breakpoint
ALTER TABLE `figures` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `edge_walks` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `edge_walks` ADD `made` text;--> statement-breakpoint
ALTER TABLE `edge_walks` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `setups` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `setups` ADD `made` text;--> statement-breakpoint
ALTER TABLE `setups` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `readings` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `readings` ADD `made` text;--> statement-breakpoint
ALTER TABLE `readings` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `stations` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `stations` ADD `made` text;--> statement-breakpoint
ALTER TABLE `stations` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `works` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `works` ADD `made` text;--> statement-breakpoint
ALTER TABLE `works` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `layers` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `layers` ADD `made` text;--> statement-breakpoint
ALTER TABLE `layers` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `samples` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `samples` ADD `made` text;--> statement-breakpoint
ALTER TABLE `samples` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `taps` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `taps` ADD `made` text;--> statement-breakpoint
ALTER TABLE `taps` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `answers` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `answers` ADD `made` text;--> statement-breakpoint
ALTER TABLE `answers` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `layer_choices` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `layer_choices` ADD `made` text;--> statement-breakpoint
ALTER TABLE `layer_choices` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `ticks` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `ticks` ADD `made` text;--> statement-breakpoint
ALTER TABLE `ticks` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `trim_fates` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `trim_fates` ADD `made` text;--> statement-breakpoint
ALTER TABLE `trim_fates` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `checks` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `checks` ADD `made` text;--> statement-breakpoint
ALTER TABLE `checks` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `marks` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `marks` ADD `made` text;--> statement-breakpoint
ALTER TABLE `marks` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `photos` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `photos` ADD `made` text;--> statement-breakpoint
ALTER TABLE `photos` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `air_logs` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `air_logs` ADD `made` text;--> statement-breakpoint
ALTER TABLE `air_logs` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `air_readings` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `air_readings` ADD `made` text;--> statement-breakpoint
ALTER TABLE `air_readings` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `damp_readings` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `damp_readings` ADD `made` text;--> statement-breakpoint
ALTER TABLE `damp_readings` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `damp_tests` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `damp_tests` ADD `made` text;--> statement-breakpoint
ALTER TABLE `damp_tests` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `scans` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `scans` ADD `made` text;--> statement-breakpoint
ALTER TABLE `scans` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `rises` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `rises` ADD `made` text;--> statement-breakpoint
ALTER TABLE `rises` ADD `first_place` text;--> statement-breakpoint
ALTER TABLE `revisions` ADD `stored_order` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `revisions` ADD `made` text;--> statement-breakpoint
UPDATE `jobs` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `cards` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `rooms` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `figures` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `edge_walks` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `setups` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `readings` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `stations` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `works` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `layers` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `samples` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `taps` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `answers` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `layer_choices` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `ticks` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `trim_fates` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `checks` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `marks` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `photos` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `air_logs` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `air_readings` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `damp_readings` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `damp_tests` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `scans` SET `stored_order` = rowid;--> statement-breakpoint
UPDATE `rises` SET `stored_order` = rowid;
