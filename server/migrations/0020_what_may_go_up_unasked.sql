ALTER TABLE `approvals` ADD `unasked_cents` integer DEFAULT 0 NOT NULL;--> statement-breakpoint
ALTER TABLE `approvals` ADD `unasked_days` integer DEFAULT 0 NOT NULL;