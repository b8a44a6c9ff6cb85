import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { describedKinds } from './described.ts';

test('the page on files says of every kind what its descriptor says', () => {
  const page = readFileSync(join(__dirname, '../../docs/kinds.md'), 'utf8');
  // Written by `npm run kinds`.
  expect(page.trim().endsWith(describedKinds().trim())).toBe(true);
});
