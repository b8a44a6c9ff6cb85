import { parseArgs } from 'node:util';
import { BackupProblem, restore } from './store/backup.ts';
import { openStore } from './store/open.ts';
import { StartProblem } from './store/start-problem.ts';

const { values } = parseArgs({
  options: {
    from: { type: 'string' },
    data: { type: 'string' },
    migrations: { type: 'string', default: 'server/migrations' },
  },
});
if (!values.from || !values.data) {
  console.error('From where, and into which new folder? npm run restore -- --from FILE --data FOLDER');
  process.exit(2);
}
try {
  const { files, writtenAt } = await restore(values.from, values.data);
  (await openStore(values.data, values.migrations)).close();
  console.log(
    `${values.data}: as it was at ${writtenAt}, the database and ${files.length - 1} pictures. Every file is what was backed up.`,
  );
} catch (error) {
  if (!(error instanceof BackupProblem || error instanceof StartProblem)) throw error;
  console.error(error.message);
  process.exit(1);
}
