ALTER TABLE `rooms` ADD `services` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `rooms` ADD `assumed` text DEFAULT '[]' NOT NULL;