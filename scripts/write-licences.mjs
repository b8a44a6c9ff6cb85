// npm run licences: writes docs/licences.md, every package of others that reaches a user: in the app's files, or run by the server.
import { existsSync, mkdtempSync, readdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { install, ROOT, run, SERVER_BUILD } from './steps.mjs';

await install();
const esbuild = await import('esbuild');
const out = mkdtempSync(join(tmpdir(), 'maquette-licences-'));

/** The folder of the package a file belongs to, from the last `node_modules` on its way. */
function packageOf(path) {
  const at = path.lastIndexOf('node_modules/');
  if (at < 0) return null;
  const parts = path.slice(at + 'node_modules/'.length).split('/');
  return path.slice(0, at) + 'node_modules/' + parts.slice(0, parts[0].startsWith('@') ? 2 : 1).join('/');
}

const used = new Map();
const note = (path, where) => {
  const folder = packageOf(path);
  if (!folder) return;
  const { name, version, license } = JSON.parse(readFileSync(join(ROOT, folder, 'package.json'), 'utf8'));
  if (!name || name.startsWith('@maquette/')) return;
  const held = used.get(name) ?? { version, license, where: new Set() };
  held.where.add(where);
  used.set(name, held);
};

// The app: what its source maps name.
const { code } = await run(
  'npx',
  ['expo', 'export', '--platform', 'web', '--source-maps', '--output-dir', join(out, 'app')],
  { cwd: join(ROOT, 'app'), quiet: true, env: { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1' } },
);
if (code !== 0) throw new Error('the app could not be built');
const maps = readdirSync(join(out, 'app'), { recursive: true, encoding: 'utf8' }).filter((name) =>
  name.endsWith('.map'),
);
for (const map of maps)
  for (const source of JSON.parse(readFileSync(join(out, 'app', map), 'utf8')).sources)
    note(source.replace(`${ROOT}/`, '').replace(/^\//, ''), 'app');
const shell = await esbuild.build({
  entryPoints: [join(ROOT, 'app/shell/sw.mjs')],
  bundle: true,
  write: false,
  metafile: true,
  absWorkingDir: ROOT,
  define: { __VERSION__: '""', __FILES__: '[]' },
});
for (const path of Object.keys(shell.metafile.inputs)) note(path, 'app');
// The server: what is bundled, and what it is started beside with all that hangs on it.
const server = await esbuild.build({
  ...SERVER_BUILD,
  outdir: join(out, 'server'),
  write: false,
  metafile: true,
  absWorkingDir: ROOT,
});
for (const path of Object.keys(server.metafile.inputs)) note(path, 'server');
const lock = JSON.parse(readFileSync(join(ROOT, 'package-lock.json'), 'utf8')).packages;
const beside = ['node_modules/@libsql/client', 'node_modules/libsql', 'node_modules/sharp', 'node_modules/piscina'];
for (let path = beside.pop(); path; path = beside.pop()) {
  if (used.get(path.slice('node_modules/'.length))?.where.has('server')) continue;
  note(`${path}/index.js`, 'server');
  // What is built for this machine stands for its like on others.
  for (const name of Object.keys({ ...lock[path]?.dependencies, ...lock[path]?.optionalDependencies }))
    if (existsSync(join(ROOT, 'node_modules', name))) beside.push(`node_modules/${name}`);
}
rmSync(out, { recursive: true, force: true });

const rows = [...used].sort(([a], [b]) => (a < b ? -1 : 1));
const count = new Map();
for (const [, { license }] of rows) count.set(license, (count.get(license) ?? 0) + 1);
writeFileSync(
  join(ROOT, 'docs/licences.md'),
  `# Licences of what ships

Written by \`npm run licences\`: every package of others whose code reaches a user, in the app's files or run by the server.
What only builds and tests is not among them.

${[...count]
  .sort((a, b) => b[1] - a[1])
  .map(([license, n]) => `${license}: ${n}`)
  .join(' · ')}

| package | version | licence | in |
| --- | --- | --- | --- |
${rows.map(([name, { version, license, where }]) => `| ${name} | ${version} | ${license} | ${[...where].sort().join(', ')} |`).join('\n')}
`,
);
await run('npx', ['prettier', '--write', 'docs/licences.md'], { cwd: ROOT, quiet: true });
console.log(`docs/licences.md: ${rows.length} packages`);
