ALTER TABLE `cards` ADD `cost_m2` real;--> statement-breakpoint
ALTER TABLE `skirtings` ADD `fit` text DEFAULT 'refit' NOT NULL;