import { recordCode, shortId, squareCode } from './index.ts';

const DIGEST = '9f31c07a'.repeat(8);

test('the id of a job is as short as its bytes allow, and no two are the same', () => {
  // RFC 4648, section 5: sixteen bytes are 22 letters.
  const uuid = '3b3e2a0e-5a43-4d1d-9f0a-1a2b3c4d5e6f';
  expect(shortId(uuid)).toBe(Buffer.from(uuid.replaceAll('-', ''), 'hex').toString('base64url'));
  expect(shortId('00000000-0000-0000-0000-000000000000')).toBe('A'.repeat(22));
  expect(shortId('ffffffff-ffff-ffff-ffff-ffffffffffff')).toBe(Buffer.alloc(16, 255).toString('base64url'));
  expect(shortId('demo-sluice-house')).toBe('demo-sluice-house');
});

test('what a code says is 121 bytes for a job of its own id', () => {
  const text = recordCode('3b3e2a0e-5a43-4d1d-9f0a-1a2b3c4d5e6f', '2026-03-02T08:00:00.000Z', 'chain', DIGEST);
  expect(text).toMatch(/^maquette:1:[\w-]{22}:20260302T080000Z:chain:[0-9a-f]{64}$/);
  expect(new TextEncoder().encode(text)).toHaveLength(121);
});

test('a code has its finders in three corners and four squares of air about it', () => {
  const { width, height, marks } = squareCode('maquette');
  expect(width).toBe(height);
  const [mark] = marks;
  const path = 'path' in mark! ? mark.path : '';
  const isDark = (x: number, y: number) =>
    [...path.matchAll(/M(\d+) (\d+)L(\d+) \2L\3 (\d+)/g)].some(
      ([, from, top, to]) => Number(top) === y && x >= Number(from) && x < Number(to),
    );
  // ISO/IEC 18004: seven by seven, its ring dark, a light ring within, its middle dark.
  for (const [x, y] of [
    [4, 4],
    [width - 11, 4],
    [4, height - 11],
  ] as const) {
    expect([isDark(x, y), isDark(x + 6, y + 6), isDark(x + 1, y + 1), isDark(x + 3, y + 3)]).toEqual([
      true,
      true,
      false,
      true,
    ]);
  }
  expect(isDark(3, 4)).toBe(false);
  // The fourth corner has none: its edge is not dark all along.
  expect(
    [0, 1, 2, 3, 4, 5, 6].every((k) => isDark(width - 11 + k, height - 11) && isDark(width - 11, height - 11 + k)),
  ).toBe(false);
});
