import fc from 'fast-check';
import { NotJson, slicesOf, TooLarge } from './slices.ts';

async function* inChunks(text: string, sizes: readonly number[]): AsyncGenerator<Buffer> {
  const all = Buffer.from(text);
  for (let from = 0, n = 0; from < all.length; n++) {
    const to = from + sizes[n % sizes.length]!;
    yield all.subarray(from, to);
    from = to;
  }
}

/** The members of a file as they are read in parts, put together again. */
async function together(text: string, sizes: readonly number[] = [7], most = 1e6) {
  const whole: Record<string, unknown> = {};
  const lines: number[] = [];
  for await (const { member, index, line, value } of slicesOf(inChunks(text, sizes), ['facts'], most)) {
    lines.push(line);
    if (index === null) whole[member] = value;
    else whole[member] = [...((whole[member] as unknown[] | undefined) ?? []), value];
  }
  return { whole, lines };
}

const name = fc.string().filter((n) => n !== '__proto__' && n !== 'facts');
const jsonObject = fc
  .record({ facts: fc.array(fc.jsonValue(), { minLength: 1 }), rest: fc.dictionary(name, fc.jsonValue()) })
  .map(({ facts, rest }) => ({ ...rest, facts }));

test('a file read in parts, cut anywhere, is what it is read whole', async () => {
  await fc.assert(
    fc.asyncProperty(
      jsonObject,
      fc.array(fc.integer({ min: 1, max: 9 }), { minLength: 1, maxLength: 4 }),
      fc.constantFrom(undefined, 1, '\t'),
      async (value, sizes, space) => {
        const text = JSON.stringify(value, null, space);
        expect((await together(text, sizes)).whole).toEqual(JSON.parse(text));
      },
    ),
    { numRuns: 400 },
  );
});

test('a text that is no JSON is refused wherever it is broken: what passes here is read whole as well', async () => {
  const text = JSON.stringify({ format: 'x', facts: [{ a: [1, 'é"}'] }, 2, null], n: { b: {} } });
  await fc.assert(
    fc.asyncProperty(
      fc.nat(text.length - 1),
      fc.constantFrom('', ',', ']', '}', '{', '[', '"', ':', '\\', 'x', '\0'),
      async (at, put) => {
        const broken = text.slice(0, at) + put + text.slice(at + 1);
        const read = await together(broken).catch((error: unknown) => error);
        if (read instanceof NotJson) return;
        const { whole } = read as { whole: unknown };
        expect(whole).toEqual(JSON.parse(broken));
      },
    ),
    { numRuns: 1500 },
  );
});

test.each(['', '   ', '[]', '[[', 'null', '{', '{}x', '{"a":1}{"b":2}', '{"facts":[1,]}', '{"facts":[,]}', '{"a"}'])(
  '%j is refused',
  async (text) => {
    await expect(together(text)).rejects.toThrow(NotJson);
  },
);

test('lines are counted, a mark of byte order is passed over, and no part is held beyond its bound', async () => {
  expect(await together('\ufeff{\n"facts": [\n 1,\n\n {"a":\n 2}\n],\n"b": 3}')).toEqual({
    whole: { facts: [1, { a: 2 }], b: 3 },
    lines: [3, 5, 8],
  });
  await expect(together(`{"facts":["${'x'.repeat(5000)}"]}`, [100], 4000)).rejects.toThrow(TooLarge);
});
