/** @jest-environment node */
import { answerText } from './answer-text.ts';

/** A file as the browser hands it over: read in slices, and never as a whole. */
function file(text: string | Uint8Array): { blob: Blob; largest: () => number } {
  const bytes = typeof text === 'string' ? new Uint8Array(Buffer.from(text)) : text;
  let largest = 0;
  const blob = {
    size: bytes.length,
    slice: (from: number, to: number) => ({
      arrayBuffer: async () => {
        const piece = bytes.slice(from, to);
        largest = Math.max(largest, piece.length);
        return piece.buffer;
      },
    }),
  };
  return { blob: blob as unknown as Blob, largest: () => largest };
}
const read = (text: string | Uint8Array, linesMost: number, shares: number[] = []) =>
  answerText({ file: file(text).blob, linesMost }, (share) => shares.push(share));

test.each([
  ['a\nb\n', 2, { text: 'a\nb\n', lines: 2, cut: false }],
  ['a\nb', 2, { text: 'a\nb', lines: 2, cut: false }],
  ['a\nb\nc', 2, { text: 'a\nb\n', lines: 3, cut: true }],
  ['', 2, { text: '', lines: 0, cut: false }],
])('%j, %i lines at most', async (text, most, expected) => {
  expect(await read(text, most)).toEqual(expected);
});

test('of a million lines the first are kept and all are counted, piece by piece, with progress', async () => {
  const text = Array.from({ length: 1_000_000 }, (_, n) => `${n},100,1340`).join('\n');
  const shares: number[] = [];
  const { blob, largest } = file(text);
  const answer = await answerText({ file: blob, linesMost: 20_000 }, (share) => shares.push(share));
  expect([answer.lines, answer.cut]).toEqual([1_000_000, true]);
  expect(answer.text.trimEnd().split('\n')).toHaveLength(20_000);
  expect(answer.text.trimEnd().endsWith('\n19999,100,1340')).toBe(true);
  expect(largest()).toBeLessThan(2_000_000);
  expect(shares.length).toBeGreaterThan(10);
  expect(shares.at(-1)).toBe(1);
  expect([...shares].sort((a, b) => a - b)).toEqual(shares);
});

test('whatever marks the encoding is kept with the first lines; a file that is no text of readings is refused by its size', async () => {
  const utf16 = new Uint8Array(Buffer.from('\ufeffx;y\n1;2\n3;4\n', 'utf16le'));
  expect((await read(utf16, 10)).text).toBe('x;y\n1;2\n3;4\n');
  expect((await read(utf16, 2)).text).toBe('x;y\n1;2\n');
  const huge = { size: 1e9, slice: () => new Blob() } as unknown as Blob;
  await expect(answerText({ file: huge, linesMost: 10 }, () => undefined)).rejects.toThrow('1000 million bytes');
});
