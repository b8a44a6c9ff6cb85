// What a phone fetches: for the site book all told, and for each stage more. Held in bytes as they cross, so that it cannot grow unseen.
import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './steps.mjs';

const FIRST_KB = 450;
const STAGE_KB = 90;
const SHARED_KB = 115;
const dist = join(ROOT, 'dist/app');
/** Bytes of a file as the server sends it. */
const crossing = (path) => statSync(existsSync(`${path}.br`) ? `${path}.br` : path).size;

const page = readFileSync(join(dist, 'index.html'), 'utf8');
const named = [...page.matchAll(/(?:src|href)="(\/[^"]+\.(?:js|css))"/g)].map(([, path]) => join(dist, path));
const fonts = readdirSync(join(dist, 'assets'), { recursive: true })
  .filter((path) => path.endsWith('.woff2') || path.endsWith('.ttf'))
  .map((path) => join(dist, 'assets', path));
const first = [join(dist, 'index.html'), ...named, ...fonts];
const total = first.reduce((sum, path) => sum + crossing(path), 0) / 1000;
console.log(`first load ${total.toFixed(0)} kB in ${first.length} files, ${FIRST_KB} at most`);
let failed = total > FIRST_KB;
const scripts = join(dist, '_expo/static/js/web');
for (const name of readdirSync(scripts).filter((file) => /-stage-.*\.js$/.test(file))) {
  const size = crossing(join(scripts, name)) / 1000;
  console.log(`  ${name.replace(/-[0-9a-f]{32}\.js$/, '')} ${size.toFixed(0)} kB, ${STAGE_KB} at most`);
  failed ||= size > STAGE_KB;
}
const shared = readdirSync(scripts).find((file) => /^__common-.*\.js$/.test(file));
const sharedKb = shared ? crossing(join(scripts, shared)) / 1000 : 0;
console.log(`  shared by the stages, fetched once ${sharedKb.toFixed(0)} kB, ${SHARED_KB} at most`);
failed ||= sharedKb > SHARED_KB;
process.exit(failed ? 1 : 0);
