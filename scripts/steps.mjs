// Steps the commands share: install what is missing, build the app and the server. No dependencies: runs before npm ci.
import { spawn } from 'node:child_process';
import { createHash } from 'node:crypto';
import {
  copyFileSync,
  existsSync,
  mkdirSync,
  readFileSync,
  readdirSync,
  rmSync,
  statSync,
  writeFileSync,
} from 'node:fs';
import { dirname, extname, join, relative } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { fileURLToPath } from 'node:url';

export const ROOT = dirname(dirname(fileURLToPath(import.meta.url)));

/** Runs a command; resolves with its exit code and, when captured, its output. */
export function run(command, args, { capture = false, env = {}, cwd = ROOT, quiet = false } = {}) {
  return new Promise((resolve) => {
    const child = spawn(command, args, {
      cwd,
      env: { ...process.env, ...env },
      stdio: capture || quiet ? ['ignore', 'pipe', 'pipe'] : 'inherit',
    });
    let output = '';
    child.stdout?.on('data', (chunk) => (output += chunk));
    child.stderr?.on('data', (chunk) => (output += chunk));
    child.on('error', (error) => resolve({ code: 127, output: String(error) }));
    child.on('close', (code) => resolve({ code: code ?? 1, output }));
  });
}

async function step(title, work) {
  const started = Date.now();
  process.stdout.write(`${title} ... `);
  const { code, output } = await work();
  console.log(code === 0 ? `done in ${((Date.now() - started) / 1000).toFixed(1)} s` : 'failed');
  if (code !== 0) {
    console.error(output);
    process.exit(code);
  }
}

function filesUnder(folder) {
  if (!existsSync(folder)) return [];
  return readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    if (['node_modules', '.expo', 'dist'].includes(entry.name)) return [];
    const path = join(folder, entry.name);
    return entry.isDirectory() ? filesUnder(path) : [path];
  });
}

function digestOf(paths) {
  const hash = createHash('sha256');
  for (const path of paths
    .flatMap((p) => (statSync(join(ROOT, p)).isDirectory() ? filesUnder(join(ROOT, p)) : [join(ROOT, p)]))
    .sort()) {
    hash.update(relative(ROOT, path));
    hash.update(readFileSync(path));
  }
  return hash.digest('hex');
}

/** Does `work` unless the inputs are what they were when it last succeeded and its result is still there. */
async function unlessCurrent(title, stamp, inputs, result, work) {
  const stampFile = join(ROOT, stamp);
  const digest = digestOf(inputs);
  if (existsSync(join(ROOT, result)) && existsSync(stampFile) && readFileSync(stampFile, 'utf8') === digest) return;
  await step(title, work);
  mkdirSync(dirname(stampFile), { recursive: true });
  writeFileSync(stampFile, digest);
}

export async function install() {
  const [major, minor] = process.versions.node.split('.').map(Number);
  if (major < 20 || (major === 20 && minor < 19)) {
    console.error(`Node ${process.versions.node}: Maquette needs Node 20.19 or newer`);
    process.exit(1);
  }
  await unlessCurrent(
    'Installing packages',
    'node_modules/.maquette-install',
    ['package-lock.json'],
    'node_modules/.package-lock.json',
    () => run('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { quiet: true }),
  );
}

const SHARED = ['core/src', 'core/package.json', 'facts/src', 'words/src', 'package-lock.json'];

/** How the server is bundled. */
export const SERVER_BUILD = {
  entryPoints: {
    ...Object.fromEntries(['main', 'backup', 'restore'].map((name) => [name, join(ROOT, `server/src/${name}.ts`)])),
    // Runs in a thread of its own.
    'import-tasks': join(ROOT, 'server/src/import/tasks.ts'),
    'record-tasks': join(ROOT, 'server/src/seal/tasks.ts'),
  },
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  sourcemap: true,
  logLevel: 'error',
  // pdfkit reads the metrics and colours it ships with from beside itself.
  external: ['@libsql/*', 'libsql', 'sharp', 'piscina', 'pdfkit'],
  banner: {
    js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
  },
};

/** The page that checks a bundle without any server: one file with its script in it. */
export async function buildVerifyPage(to) {
  const esbuild = await import('esbuild');
  const { outputFiles } = await esbuild.build({
    entryPoints: [join(ROOT, 'server/src/seal/page/verify-page.ts')],
    bundle: true,
    minify: true,
    write: false,
    format: 'iife',
    target: 'es2022',
    charset: 'utf8',
    logLevel: 'error',
  });
  const page = readFileSync(join(ROOT, 'server/src/seal/page/verify-page.html'), 'utf8');
  // A function keeps what looks like a pattern in the script as it is.
  writeFileSync(
    to,
    page.replace('/* script */', () => outputFiles[0].text.replaceAll('</script', '<\\/script')),
  );
}

export async function buildServer() {
  await unlessCurrent(
    'Building the server',
    'dist/server.stamp',
    [...SHARED, 'server/src', 'server/package.json'],
    'dist/server/main.mjs',
    async () => {
      const esbuild = await import('esbuild');
      await esbuild.build({ ...SERVER_BUILD, outdir: join(ROOT, 'dist/server') });
      await buildVerifyPage(join(ROOT, 'dist/server/verify.html'));
      return { code: 0, output: '' };
    },
  );
}

/** What only later screens share is named in the page instead of being fetched with the first: the app asks for it when it opens one. */
function leaveSharedForLater(dist) {
  const page = join(dist, 'index.html');
  const html = readFileSync(page, 'utf8').replace(
    /<script src="([^"]*\/__common-[^"]*)" defer><\/script>/,
    '<meta id="shared-by-parts" content="$1">',
  );
  writeFileSync(page, html);
}

/** Kinds of file worth compressing; fonts and pictures are compressed as they are. */
const PLAIN = new Set(['.js', '.html', '.json', '.wasm', '.css']);

/** Writes each plain file beside itself as Brotli and as gzip: the server sends those. */
function writeCompressed(dist) {
  for (const path of filesUnder(dist)) {
    if (/\.(br|gz)$/.test(path)) rmSync(path);
    if (!PLAIN.has(extname(path))) continue;
    const plain = readFileSync(path);
    // The solver is large and fetched once: the best setting takes ten seconds for three hundredths of it.
    const quality = plain.length > 2_000_000 ? 9 : 11;
    writeFileSync(`${path}.br`, brotliCompressSync(plain, { params: { [constants.BROTLI_PARAM_QUALITY]: quality } }));
    writeFileSync(`${path}.gz`, gzipSync(plain, { level: 9 }));
  }
}

/** Puts the list of built files and a version into the service worker, so that one visit is enough to open without signal. */
async function writeServiceWorker(dist) {
  const files = filesUnder(dist)
    .map((path) => `/${relative(dist, path).replaceAll('\\', '/')}`)
    .filter((path) => !/\.(map|br|gz)$/.test(path) && path !== '/sw.js');
  const version = createHash('sha256')
    .update(files.map((path) => path + readFileSync(join(dist, path)).length).join())
    .digest('hex')
    .slice(0, 12);
  const esbuild = await import('esbuild');
  await esbuild.build({
    entryPoints: [join(ROOT, 'app/shell/sw.mjs')],
    outfile: join(dist, 'sw.js'),
    bundle: true,
    minify: true,
    logLevel: 'error',
    define: {
      'process.env.NODE_ENV': '"production"',
      __VERSION__: JSON.stringify(version),
      // What is named by its content never changes; the rest is of this version.
      __FILES__: JSON.stringify(
        files.map((url) => ({ url, revision: /^\/(_expo|assets)\//.test(url) ? null : version })),
      ),
    },
  });
}

export async function buildApp() {
  await unlessCurrent(
    'Building the app (about a minute the first time)',
    'dist/app.stamp',
    [...SHARED, 'app', 'scripts/steps.mjs'],
    'dist/app/index.html',
    async () => {
      const result = await run('npx', ['expo', 'export', '--platform', 'web', '--output-dir', '../dist/app'], {
        cwd: join(ROOT, 'app'),
        quiet: true,
        env: { EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1', CI: '1' },
      });
      if (result.code !== 0) return result;
      copyFileSync(join(ROOT, 'node_modules/highs/build/highs.wasm'), join(ROOT, 'dist/app/highs.wasm'));
      leaveSharedForLater(join(ROOT, 'dist/app'));
      await writeServiceWorker(join(ROOT, 'dist/app'));
      writeCompressed(join(ROOT, 'dist/app'));
      return result;
    },
  );
}
