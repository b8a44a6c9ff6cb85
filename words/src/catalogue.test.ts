import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';
import { IntlMessageFormat } from 'intl-messageformat';
import { first } from './en/first.ts';
import { english } from './en/index.ts';

const ROOT = join(__dirname, '../..');

/** Every place where something is said: the codes it may have, and what it gives; null where that is not written there. */
interface Place {
  file: string;
  codes: string[];
  given: string[] | null;
}

function codesOf(node: ts.Expression | undefined, named: ReadonlyMap<string, string>): string[] {
  if (!node) return [];
  if (ts.isStringLiteralLike(node)) return [node.text];
  if (ts.isConditionalExpression(node)) return [...codesOf(node.whenTrue, named), ...codesOf(node.whenFalse, named)];
  if (ts.isIdentifier(node) && named.has(node.text)) return [named.get(node.text)!];
  return [];
}

function placesIn(file: string): Place[] {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const named = new Map<string, string>();
  const places: Place[] = [];
  const visit = (node: ts.Node): void => {
    if (ts.isVariableDeclaration(node) && node.initializer && ts.isStringLiteral(node.initializer))
      named.set(node.name.getText(), node.initializer.text);
    if (ts.isCallExpression(node) && node.expression.getText() === 'say' && node.arguments.length > 0) {
      const codes = codesOf(node.arguments[0], named).filter((code) => /^[a-z]+\.\w+$/.test(code));
      const values = node.arguments[1];
      const given =
        values === undefined
          ? []
          : ts.isObjectLiteralExpression(values)
            ? values.properties.map((property) => property.name!.getText())
            : null;
      if (codes.length > 0) places.push({ file: file.slice(ROOT.length + 1), codes, given });
    }
    ts.forEachChild(node, visit);
  };
  visit(source);
  return places;
}

const filesIn = (folder: string): string[] =>
  readdirSync(join(ROOT, folder), { recursive: true, encoding: 'utf8' })
    .filter((name) => /\.tsx?$/.test(name) && !/\.test\./.test(name))
    .map((name) => join(ROOT, folder, name));

/** What a message asks for, by name. */
function askedBy(code: keyof typeof english): string[] {
  const names = new Set<string>();
  const visit = (element: unknown): void => {
    if (Array.isArray(element)) return element.forEach(visit);
    if (typeof element !== 'object' || element === null) return;
    const { type, value, options } = element as { type?: number; value?: string; options?: object };
    // Of an ICU message 0 is text and 7 the figure of a plural; all else names what it takes.
    if (typeof type === 'number' && type > 0 && type < 7 && value) names.add(value);
    for (const option of Object.values(options ?? {})) visit((option as { value: unknown }).value);
  };
  visit(new IntlMessageFormat(english[code], 'en', undefined, { ignoreTag: true }).getAst());
  return [...names].sort();
}

const places = [...filesIn('core/src'), ...filesIn('app/src')].flatMap(placesIn);
const said = new Map(places.flatMap((place) => place.codes.map((code) => [code, place] as const)));
const codes = Object.keys(english) as (keyof typeof english)[];

test('places where something is said are found', () => {
  expect(places.length).toBeGreaterThan(500);
});

test('whatever is said has a sentence', () => {
  expect([...said.keys()].filter((code) => !(code in english))).toEqual([]);
});

test('every sentence is said somewhere', () => {
  expect(codes.filter((code) => !said.has(code))).toEqual([]);
});

test('what is said before a room is opened is in what comes first', () => {
  const early =
    /^(core\/src\/(air|coverings|fields|formats|job|room|said|units)|facts\/src|app\/src\/(bench|book|cards|data|form|theme))\//;
  const late = [...places, ...filesIn('facts/src').flatMap(placesIn)]
    .filter(({ file }) => early.test(file))
    .flatMap(({ codes: of, file }) => of.filter((code) => !(code in first)).map((code) => `${file}: ${code}`));
  expect(late).toEqual([]);
});

test('a sentence is given what it asks for, by the same names, and nothing else', () => {
  const odd = places.flatMap(({ file, codes: of, given }) =>
    of
      .filter((code) => given && code in english)
      .map((code) => ({ file, code, given: [...given!].sort(), asks: askedBy(code as keyof typeof english) }))
      .filter(({ given: gives, asks }) => JSON.stringify(gives) !== JSON.stringify(asks)),
  );
  expect(odd).toEqual([]);
});

test('no length, area, mass or temperature is written into a sentence: the reader’s units are not known there', () => {
  // A formula is told in the units that its rate is kept in.
  const open = codes.filter((code) => !/Formula$/.test(code));
  expect(open.filter((code) => /\{\w+\} ?(mm|cm|m|ft|m²|ft²|kg|lb|l|gal|°C|°F)(?![\w²/])/.test(english[code]))).toEqual(
    [],
  );
});
