const { createHash } = require('node:crypto');
const { existsSync, readFileSync, readdirSync } = require('node:fs');
const { dirname, join, relative, resolve } = require('node:path');
const ts = require('typescript');

const ROOT = dirname(__dirname);
const PACKAGES = { '@maquette/core': 'core/src', '@maquette/facts': 'facts/src', '@maquette/words': 'words/src' };

/** The front an import names, as a file; null where it names none of ours. */
function frontOf(source, importer) {
  if (source.startsWith('.')) {
    const file = resolve(dirname(importer), source);
    return file.endsWith('/index.ts') && Object.values(PACKAGES).some((folder) => file.startsWith(join(ROOT, folder)))
      ? file
      : null;
  }
  const [, name, rest] = /^(@maquette\/\w+)(?:\/(.+))?$/.exec(source) ?? [];
  const folder = PACKAGES[name];
  if (!folder) return null;
  const file = join(ROOT, folder, rest ? join(rest, 'index.ts') : 'index.ts');
  return existsSync(file) ? file : null;
}

/** A module as another names it: never by where the folder lies, for what is bundled is cached for every copy of it alike. */
function towards(importer, file) {
  const path = relative(dirname(importer), file).replaceAll('\\', '/');
  return path.startsWith('.') ? path : `./${path}`;
}

const read = new Map();

/** What a front passes on: each name with the module it comes from and what it is called there. Types are left out. */
function passedOn(front) {
  if (read.has(front)) return read.get(front);
  const names = new Map();
  read.set(front, names);
  const file = ts.createSourceFile(front, readFileSync(front, 'utf8'), ts.ScriptTarget.Latest, false);
  for (const statement of file.statements) {
    if (!ts.isExportDeclaration(statement) || statement.isTypeOnly || !statement.moduleSpecifier) continue;
    if (!statement.exportClause || !ts.isNamedExports(statement.exportClause)) continue;
    for (const { name, propertyName, isTypeOnly } of statement.exportClause.elements)
      if (!isTypeOnly)
        names.set(name.text, {
          from: resolve(dirname(front), statement.moduleSpecifier.text),
          called: (propertyName ?? name).text,
        });
  }
  return names;
}

/** Where a name comes from in the end: fronts may pass on what other fronts do. */
function originOf(front, name) {
  const found = passedOn(front).get(name);
  if (!found) return null;
  return (found.from.endsWith('/index.ts') && originOf(found.from, found.called)) || found;
}

/**
 * Has the bundle import a name from the module that makes it instead of from the front that passes it on: a front brings all of
 * its part with it, and a screen that asks for one range would fetch a solver. Fronts of ours only pass on, so nothing is missed.
 */
module.exports = function straightImports({ types: t }) {
  return {
    visitor: {
      Program(program, { filename }) {
        for (const path of program.get('body')) {
          if (!path.isImportDeclaration() || path.node.importKind === 'type') continue;
          const front = frontOf(path.node.source.value, filename);
          if (!front) continue;
          const rest = [];
          const straight = new Map();
          for (const specifier of path.node.specifiers) {
            const origin =
              t.isImportSpecifier(specifier) &&
              specifier.importKind !== 'type' &&
              originOf(front, specifier.imported.name);
            if (!origin) rest.push(specifier);
            else
              straight.set(origin.from, [
                ...(straight.get(origin.from) ?? []),
                t.importSpecifier(specifier.local, t.identifier(origin.called)),
              ]);
          }
          if (straight.size === 0) continue;
          const made = [...straight].map(([from, specifiers]) =>
            t.importDeclaration(specifiers, t.stringLiteral(towards(filename, from))),
          );
          if (rest.length > 0) made.push(t.importDeclaration(rest, path.node.source));
          path.replaceWithMultiple(made);
        }
      },
    },
  };
};

/** Changes when some front does: what was bundled by the fronts as they were is not taken from a cache. */
module.exports.versionOfFronts = function versionOfFronts() {
  const hash = createHash('sha256').update(readFileSync(join(__dirname, 'straight-imports.js')));
  for (const folder of Object.values(PACKAGES))
    for (const name of readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' }).sort())
      if (name.endsWith('index.ts')) hash.update(name).update(readFileSync(join(ROOT, folder, name)));
  return hash.digest('hex');
};
