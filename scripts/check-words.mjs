// No sentence stands in the core: it says things by codes, and the words package holds the sentences. Part of npm test.
import { readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import ts from 'typescript';

const CORE = 'core/src';
/** Names that ship with cards are facts, as a user's own are; so are the headings that files are known by. */
const FACTS = ['coverings/card.ts', 'under/cards.ts', 'formats/rod-columns.ts'];
/** Two words with a space between: codes and names of facts have none. */
const TWO_WORDS = /[a-z’]{2,},? [a-z’]{2,}/;

const files = readdirSync(CORE, { recursive: true, encoding: 'utf8' })
  .filter((name) => name.endsWith('.ts') && !/\.test\.ts$|invented/.test(name) && !FACTS.includes(name))
  .map((name) => join(CORE, name));

/** Whether a text is for developers, a type, a module's name, or how a list of a fact is called. */
function excused(node) {
  for (let at = node; at; at = at.parent) {
    if (ts.isImportDeclaration(at) || ts.isExportDeclaration(at) || ts.isTypeNode(at)) return true;
    if (ts.isNewExpression(at) && /Error$/.test(at.expression.getText())) return true;
    if (ts.isCallExpression(at) && /^(list|kind)$/.test(at.expression.getText())) return true;
  }
  return false;
}

const found = files.flatMap((file) => {
  const source = ts.createSourceFile(file, readFileSync(file, 'utf8'), ts.ScriptTarget.Latest, true);
  const lines = [];
  const visit = (node) => {
    const text = ts.isStringLiteralLike(node)
      ? node.text
      : ts.isTemplateExpression(node)
        ? [node.head.text, ...node.templateSpans.map((span) => span.literal.text)].join(' ')
        : '';
    // What is thrown tells a developer; markup is no sentence.
    if (TWO_WORDS.test(text) && !text.startsWith('<') && !excused(node))
      lines.push(`${file}:${source.getLineAndCharacterOfPosition(node.getStart()).line + 1} ${text.slice(0, 80)}`);
    ts.forEachChild(node, visit);
  };
  visit(source);
  return lines;
});

for (const line of found) console.log(line);
console.log(`${found.length} sentences in the core, 0 at most`);
process.exitCode = found.length > 0 ? 1 : 0;
