// npm test: installs what is missing, then lint, formatting, types, unit and end-to-end tests. Last line: the true totals.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { join, relative } from 'node:path';
import { buildApp, buildServer, install, ROOT, run } from './steps.mjs';

let passed = 0;
let failed = 0;
/** What failed, said once more at the end: a long run's output is read from there. */
const failures = [];

/** A check that either holds or not counts as one test. Its output is shown when it is done: others run beside it. */
async function check(title, command, args) {
  const { code, output } = await run(command, args, { capture: true });
  if (code === 0) passed++;
  else {
    failed++;
    failures.push(`${title}\n${output.trim().slice(-1500)}`);
  }
  console.log(`\n== ${title}\n${output.trim()}\n${title}: ${code === 0 ? 'passed' : 'FAILED'}`);
}

async function chromium() {
  if (existsSync(process.env.CHROMIUM ?? '/usr/bin/chromium')) return true;
  console.log('Chromium is not here: installing it from the distribution (apt) ...');
  const update = await run('apt-get', ['update', '-qq'], { quiet: true });
  const got =
    update.code === 0
      ? await run('apt-get', ['install', '-y', '-qq', 'chromium'], {
          quiet: true,
          env: { DEBIAN_FRONTEND: 'noninteractive' },
        })
      : update;
  if (got.code === 0 && existsSync('/usr/bin/chromium')) return true;
  console.error(
    'Chromium could not be installed: that needs apt and root. Install it yourself, or name one with CHROMIUM=/path/to/chromium.',
  );
  return false;
}

/** Adds the counts of a JSON report; a runner that wrote none counts as one failure. */
function add(file, count) {
  if (!existsSync(file)) {
    failed++;
    return console.error(`No report from the runner: ${file}`);
  }
  const { ok, bad, said = [] } = count(JSON.parse(readFileSync(file, 'utf8')));
  failures.push(...said);
  passed += ok;
  failed += bad;
}

await install();
const results = join(ROOT, 'test-results');
rmSync(results, { recursive: true, force: true });
mkdirSync(results, { recursive: true });
/** One after the other, on one core. */
async function still() {
  await check('Lint and import directions', 'npx', ['eslint', '.', '--max-warnings', '0']);
  await check('No circles of imports', process.execPath, ['scripts/check-circles.mjs']);
  await check('No sentence in the core', process.execPath, ['scripts/check-words.mjs']);
  await check('Formatting', 'npx', ['prettier', '--check', '--log-level', 'warn', '.']);
  await check('Types: core, facts, server, e2e, bench', 'npx', ['tsc', '-p', 'tsconfig.json', '--noEmit']);
  await check('Types: app', 'npx', ['tsc', '-p', 'app/tsconfig.json', '--noEmit']);
  await buildApp();
  await buildServer();
  await check('First load and stages stay light', process.execPath, ['scripts/check-load.mjs']);
}

/** Unit tests beside the checks, and on both cores once those are done. */
async function units() {
  const unit = join(results, 'unit.json');
  const { output } = await run('npx', ['jest', '--maxWorkers=2', '--json', `--outputFile=${unit}`], { capture: true });
  console.log(`\n== Unit tests\n${output.trim()}`);
  add(unit, (report) => ({
    ok: report.numPassedTests,
    bad: report.numFailedTests + report.numRuntimeErrorTestSuites,
    said: report.testResults
      .filter(({ status }) => status === 'failed')
      .map(({ name, message }) => `${relative(ROOT, name)}\n${message.trim().slice(0, 3000)}`),
  }));
}

await Promise.all([still(), units()]);

console.log('\n== End-to-end tests');
if (await chromium()) {
  await run('npx', ['playwright', 'test', '--config', 'e2e/playwright.config.ts']);
  add(join(results, 'e2e.json'), ({ stats, errors = [] }) => ({
    ok: stats.expected,
    bad: stats.unexpected + stats.flaky + stats.skipped + errors.length,
  }));
} else failed++;

for (const failure of failures) console.log(`\n== Failed: ${failure}`);
console.log(`\ntests: ${passed} passed, ${failed} failed`);
process.exit(failed === 0 && passed > 0 ? 0 : 1);
