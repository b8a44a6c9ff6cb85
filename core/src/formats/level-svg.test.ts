/** @jest-environment jsdom */
import { readOut } from '@maquette/words';
import { levelSvg } from './index.ts';
import { sheet } from './invented-sheet.ts';

test('SVG is well formed, says what it is and puts the first wall at the bottom', () => {
  const text = levelSvg(sheet, readOut);
  const parsed = new DOMParser().parseFromString(text, 'image/svg+xml');
  expect(parsed.querySelector('parsererror')).toBeNull();
  expect(parsed.querySelector('title')!.textContent).toBe('Store <north> & hall');
  const walls = [...parsed.querySelectorAll('path')].find((path) => path.getAttribute('stroke-width') === '40')!;
  // Margin 400: the first corner of the room lies at the left, its depth of 2000 down.
  expect(walls.getAttribute('d')).toMatch(/^M400 2400L3400 2400L3400 400L400 400Z/);
  expect(text).toContain('36 directions on 50 mm');
});
