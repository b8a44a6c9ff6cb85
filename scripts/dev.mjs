// npm run dev: the server restarting on change, and the app with hot reload; /api is passed on to the server.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { install, ROOT } from './steps.mjs';

await install();
const env = { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1' };
const children = [
  spawn(
    'npx',
    [
      'tsx',
      'watch',
      '--tsconfig',
      'tsconfig.json',
      'server/src/main.ts',
      '--demo',
      '--port',
      '4310',
      '--data',
      'data/dev',
    ],
    { cwd: ROOT, stdio: 'inherit', env },
  ),
  spawn('npx', ['expo', 'start', '--web', '--port', '4311'], { cwd: join(ROOT, 'app'), stdio: 'inherit', env }),
];
for (const signal of ['SIGINT', 'SIGTERM']) process.on(signal, () => children.forEach((child) => child.kill(signal)));
for (const child of children) child.on('close', (code) => process.exit(code ?? 0));
