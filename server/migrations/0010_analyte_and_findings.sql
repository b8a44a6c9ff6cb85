ALTER TABLE `samples` ADD `analyte` text DEFAULT 'unstated' NOT NULL;--> statement-breakpoint
ALTER TABLE `marks` ADD `finding` text;