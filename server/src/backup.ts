import { parseArgs } from 'node:util';
import { backUp, BackupProblem } from './store/backup.ts';

const { values } = parseArgs({ options: { data: { type: 'string', default: 'data' }, to: { type: 'string' } } });
if (!values.to) {
  console.error('Where to? npm run backup -- --data FOLDER --to FILE');
  process.exit(2);
}
try {
  const { files } = await backUp(values.data, values.to, new Date().toISOString());
  const bytes = files.reduce((sum, file) => sum + file.bytes, 0);
  console.log(`${values.to}: the database and ${files.length - 1} pictures, ${(bytes / 1e6).toFixed(1)} MB.`);
} catch (error) {
  if (!(error instanceof BackupProblem)) throw error;
  console.error(error.message);
  process.exit(1);
}
