// What a phone fetches: for the site book all told, and for each stage more. Held in bytes as they cross, so that it cannot grow unseen.
import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { join } from 'node:path';
import { ROOT } from './steps.mjs';

const FIRST_KB = 450;
const STAGE_KB = 120;
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
const sizeOf = (begins) => {
  const file = readdirSync(scripts).find((name) => name.startsWith(begins) && name.endsWith('.js'));
  return file ? crossing(join(scripts, file)) / 1000 : 0;
};
// The stage that is opened first brings with it what the room's screen and the other stages share.
const shared = sizeOf('__common-') + sizeOf('room-screen-') + sizeOf('rest-');
for (const file of readdirSync(scripts).filter((name) => /-stage-.*\.js$/.test(name))) {
  const stage = file.replace(/-[0-9a-f]{32}\.js$/, '');
  const size = sizeOf(stage) + shared;
  console.log(`  ${stage}, opened first, ${size.toFixed(1)} kB, ${STAGE_KB} at most`);
  failed ||= size > STAGE_KB;
}
process.exit(failed ? 1 : 0);
