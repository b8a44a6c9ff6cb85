// What the migration generator reads: every table under a name of its own.
import { chainLines, pictures, revisions, TABLES } from './src/store/tables.ts';

module.exports = { ...TABLES, chainLines, pictures, revisions };
