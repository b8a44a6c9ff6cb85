// No source file may come back to itself through what it imports, types included: lint passes over those.
import { readFileSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import { run, ROOT } from './steps.mjs';
import ts from 'typescript';

const { output } = await run('git', ['ls-files', '-co', '--exclude-standard', '*.ts', '*.tsx'], { capture: true });
const files = new Set(output.split('\n').filter((file) => file && !/\.(test|spec)\.tsx?$|\.d\.ts$/.test(file)));
const PACKAGES = { '@maquette/core': 'core/src', '@maquette/facts': 'facts/src', '@maquette/words': 'words/src' };

/** The file an import leads to, or null outside the project. */
function target(from, name) {
  const own = Object.keys(PACKAGES).find((key) => name === key || name.startsWith(`${key}/`));
  if (!own && !name.startsWith('.')) return null;
  const path = own ? PACKAGES[own] + name.slice(own.length) : normalize(join(dirname(from), name));
  return [path, `${path}.ts`, `${path}/index.ts`].find((file) => files.has(file)) ?? null;
}

const imports = new Map(
  [...files].map((file) => [
    file,
    ts
      .preProcessFile(readFileSync(join(ROOT, file), 'utf8'), true, true)
      .importedFiles.flatMap(({ fileName }) => target(file, fileName) ?? []),
  ]),
);

const done = new Set();
const circles = [];
function follow(file, way) {
  const at = way.indexOf(file);
  if (at >= 0) circles.push([...way.slice(at), file]);
  if (at >= 0 || done.has(file)) return;
  for (const next of imports.get(file)) follow(next, [...way, file]);
  done.add(file);
}
for (const file of files) follow(file, []);
for (const circle of circles) console.log(circle.join('\n  imports '));
console.log(`${circles.length} circles in ${files.size} files`);
process.exit(circles.length === 0 ? 0 : 1);
