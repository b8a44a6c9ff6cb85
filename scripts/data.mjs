// npm run backup, npm run restore: installs and builds what is missing, then runs the server's own command on the data folder.
import { join } from 'node:path';
import { buildServer, install, ROOT, run } from './steps.mjs';

const [command, ...args] = process.argv.slice(2);
await install();
await buildServer();
const { code } = await run(process.execPath, [join(ROOT, `dist/server/${command}.mjs`), ...args]);
process.exit(code);
