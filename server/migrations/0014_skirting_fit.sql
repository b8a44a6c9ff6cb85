ALTER TABLE `skirtings` ADD `fit` text DEFAULT 'refit' NOT NULL;
