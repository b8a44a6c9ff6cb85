// npm run kinds: writes what every kind of fact takes into docs/kinds.md, from the descriptors.
import { writeFileSync } from 'node:fs';
import { describedKinds } from '../facts/src/described.ts';

const HEAD = `# Kinds of fact

What a job file holds and the API takes, field by field. This page is written from the descriptors by \`npm run kinds\`.

`;
writeFileSync('docs/kinds.md', `${HEAD}${describedKinds()}\n`);
