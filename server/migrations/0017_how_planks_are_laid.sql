ALTER TABLE `cards` ADD `second_stagger_mm` real;--> statement-breakpoint
ALTER TABLE `cards` ADD `lay_hand` text DEFAULT 'unsaid' NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `tilt_deg` real;--> statement-breakpoint
ALTER TABLE `cards` ADD `ends_slide` text DEFAULT 'unsaid' NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `long_taps` text DEFAULT 'unsaid' NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `lip_shaved` text DEFAULT 'unsaid' NOT NULL;--> statement-breakpoint
ALTER TABLE `cards` ADD `mixed_lengths` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `set_outs` ADD `windows` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `set_outs` ADD `breaks` text DEFAULT '[]' NOT NULL;--> statement-breakpoint
ALTER TABLE `set_outs` ADD `border_rows` integer DEFAULT 0 NOT NULL;