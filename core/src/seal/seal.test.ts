import { createHash } from 'node:crypto';
import fc from 'fast-check';
import { canonicalJson, NotCanonical } from './canonical.ts';
import { beginsWith, chained, CHAIN_START, chainText, lastDigest, privateFact, readChain } from './chain.ts';
import { sha256Hex } from './digest.ts';
import { bundleFaults, manifestText, readManifest, sealOf, type BundleEntry } from './manifest.ts';

const bytes = (text: string) => new TextEncoder().encode(text);

test('digests of the empty text and of “abc” as FIPS 180-4 gives them; any content as another implementation has it', () => {
  expect(sha256Hex('')).toBe('e3b0c44298fc1c149afbf4c8996fb92427ae41e4649b934ca495991b7852b855');
  expect(sha256Hex('abc')).toBe('ba7816bf8f01cfea414140de5dae2223b00361a396177a9cb410ff61f20015ad');
  fc.assert(
    fc.property(fc.uint8Array({ maxLength: 300 }), (content) => {
      expect(sha256Hex(content)).toBe(createHash('sha256').update(content).digest('hex'));
    }),
  );
});

test('names in the order of UTF-16 units, numbers as ECMAScript has them: the example of RFC 8785, 3.2.3 and 3.2.2', () => {
  const names = {
    '\u20ac': 'Euro Sign',
    '\r': 'Carriage Return',
    '\ufb33': 'Hebrew Letter Dalet With Dagesh',
    '1': 'One',
    '\ud83d\ude00': 'Emoji',
    '\u0080': 'Control',
    '\u00f6': 'Latin Small Letter O With Diaeresis',
  };
  expect(Object.values(JSON.parse(canonicalJson(names)) as object)).toEqual([
    'One',
    'Carriage Return',
    'Control',
    'Latin Small Letter O With Diaeresis',
    'Euro Sign',
    'Emoji',
    'Hebrew Letter Dalet With Dagesh',
  ]);
  expect(canonicalJson([333333333.33333329, 1e30, 4.5, 2e-3, 1e-27, -0])).toBe(
    '[333333333.3333333,1e+30,4.5,0.002,1e-27,0]',
  );
  expect(canonicalJson({ b: undefined, a: [null, true, 'é\n'] })).toBe('{"a":[null,true,"é\\n"]}');
  expect(() => canonicalJson({ a: [NaN] })).toThrow(NotCanonical);
});

test('property: whatever the order in which its names come, a fact has one text, and it reads back as the fact', () => {
  const turned = (value: unknown): unknown =>
    Array.isArray(value)
      ? value.map(turned)
      : value !== null && typeof value === 'object'
        ? Object.fromEntries(
            Object.entries(value)
              .reverse()
              .map(([name, held]) => [name, turned(held)]),
          )
        : value;
  fc.assert(
    fc.property(fc.jsonValue(), (fact) => {
      const text = canonicalJson(fact);
      expect(canonicalJson(turned(fact))).toBe(text);
      expect(JSON.parse(text)).toEqual(JSON.parse(JSON.stringify(fact)));
    }),
  );
});

const FACTS = ['{"id":"a","v":1}', '{"id":"b","words":"Schwelle, 3 mm"}', '{"id":"a","v":2}'];

test('each digest is of the one before it as hex, a line feed, and the fact', () => {
  const lines = chained(FACTS);
  const plain = (before: string, fact: string) =>
    createHash('sha256').update(`${before}\n${fact}`, 'utf8').digest('hex');
  const first = plain('0'.repeat(64), FACTS[0]!);
  expect(lines[0]!.digest).toBe(first);
  expect(lines[1]!.digest).toBe(plain(first, FACTS[1]!));
  expect(readChain(chainText(lines))).toEqual(lines);
  expect([lastDigest(lines), lastDigest([])]).toEqual([lines[2]!.digest, CHAIN_START]);
  // A chain goes on where an earlier one ended, and begins with it byte for byte.
  const [early, late] = [chained(FACTS.slice(0, 2)), chained(FACTS.slice(2), lines[1]!.digest)];
  expect(chainText([...early, ...late])).toBe(chainText(lines));
  expect(beginsWith(chainText(lines), chainText(early))).toBe(true);
});

test.each<[string, (text: string) => string, number, string]>([
  ['nothing', () => '', 1, 'empty'],
  ['a NUL', (text) => text.replace('3 mm', '3\0mm'), 2, 'nul'],
  ['an open last line', (text) => text.slice(0, -1), 3, 'open-end'],
  ['a line too many', (text) => `${text}\n`, 4, 'shape'],
  ['a figure altered', (text) => text.replace('3 mm', '2 mm'), 2, 'digest'],
  [
    'a fact left out',
    (text) =>
      text
        .split('\n')
        .filter((_, k) => k !== 1)
        .join('\n'),
    2,
    'digest',
  ],
  ['facts turned round', (text) => [1, 0, 2].map((k) => `${text.split('\n')[k]}\n`).join(''), 1, 'digest'],
  ['a space within', (text) => text.replace('"v":2', '"v": 2'), 3, 'not-canonical'],
  ['a carriage return', (text) => text.replace('\n', '\r\n'), 1, 'shape'],
])('%s is told by its line', (_, alter, line, fault) => {
  expect(readChain(alter(chainText(chained(FACTS))))).toEqual({ line, fault });
});

test('a text that parts lines in its own way is one line of the chain', () => {
  const lines = chained([canonicalJson({ note: 'one\u2028two\u2029three\u0085four\nfive' })]);
  expect(readChain(chainText(lines))).toEqual(lines);
});

test('a private fact is told from its digest by nobody without its salt, and the chain is whole without its text', () => {
  const [fact, salt] = ['{"cents":214500}', 'ab'.repeat(32)];
  const shown = privateFact('quotations', 'q-1', salt, fact);
  expect(shown).toEqual({
    id: 'q-1',
    kind: 'quotations',
    private: createHash('sha256').update(`${salt}\n${fact}`).digest('hex'),
  });
  const lines = chained([...FACTS, canonicalJson(shown)]);
  expect(chainText(lines)).not.toContain('214500');
  expect(readChain(chainText(lines))).toEqual(lines);
});

const entry = (path: string, text: string): BundleEntry => ({ path, content: bytes(text) });
/** A bundle of some files with its manifest. */
function bundle(files: readonly BundleEntry[]): { entries: BundleEntry[]; seal: string } {
  const manifest = manifestText(files.map(({ path, content }) => ({ path, sha256: sha256Hex(content) })));
  return {
    entries: [...files, entry('MANIFEST.sha256', manifest), entry('SEAL.sig', 's'), entry('SEAL.pub', 'p')],
    seal: sealOf(manifest),
  };
}
const FILES = [
  entry('job.json', '{}'),
  entry('facts.chain', 'x\n'),
  entry('photographs/0a.jpg', 'jpeg'),
  entry('_notes', ''),
];

test('a manifest lists files by the bytes of their paths, two spaces after the digest, and itself and the seal not', () => {
  const text = manifestText([
    { path: 'b', sha256: 'b'.repeat(64) },
    { path: 'a/c', sha256: 'a'.repeat(64) },
    { path: 'Z', sha256: 'c'.repeat(64) },
  ]);
  expect(text).toBe(`${'c'.repeat(64)}  Z\n${'a'.repeat(64)}  a/c\n${'b'.repeat(64)}  b\n`);
  expect(readManifest(text)).toHaveLength(3);
  for (const path of ['../x', '.x', 'a//b', 'a/', '/a', 'ä', 'a b', 'SEAL.pub', 'MANIFEST.sha256', ''])
    expect(() => manifestText([{ path, sha256: 'a'.repeat(64) }])).toThrow(RangeError);
  expect(() =>
    manifestText([
      { path: 'a', sha256: '' },
      { path: 'A', sha256: '' },
    ]),
  ).toThrow(RangeError);
});

test.each<[string, (entries: BundleEntry[]) => BundleEntry[], string]>([
  ['a file altered', (all) => all.map((one) => (one.path === 'job.json' ? entry('job.json', '{ }') : one)), 'altered'],
  ['a file gone', (all) => all.filter(({ path }) => path !== 'job.json'), 'missing'],
  ['a file more', (all) => [...all, entry('readme', 'x')], 'not-listed'],
  ['a file beside the seal', (all) => [...all, entry('SEAL.x', 'x')], 'not-listed'],
  ['a manifest further down', (all) => [...all, entry('photographs/MANIFEST.sha256', 'x')], 'not-listed'],
  ['the same name but for case', (all) => [...all, entry('Job.json', '{}')], 'twice'],
  ['a link', (all) => all.map((one) => (one.path === '_notes' ? { ...one, isLink: true } : one)), 'link'],
  ['a path that leads out', (all) => [...all, entry('../x', 'x')], 'odd-path'],
  ['no manifest', (all) => all.filter(({ path }) => path !== 'MANIFEST.sha256'), 'no-manifest'],
])('%s is told', (_, alter, fault) => {
  const { entries, seal } = bundle(FILES);
  expect(bundleFaults(entries, seal)).toEqual([]);
  expect(bundleFaults(alter(entries), seal).map((one) => one.fault)).toContain(fault);
});

test('property: a bundle with any one byte of any listed file altered is told; made all anew, by the seal alone', () => {
  fc.assert(
    fc.property(fc.nat(), fc.nat(), fc.integer({ min: 1, max: 255 }), (which, at, by) => {
      const { entries, seal } = bundle(FILES);
      const filled = entries.filter(({ content, path }) => content.length > 0 && !path.startsWith('SEAL'));
      const one = filled[which % filled.length]!;
      const content = Uint8Array.from(one.content);
      content[at % content.length]! ^= by;
      const altered = entries.map((held) => (held === one ? { ...held, content } : held));
      expect(bundleFaults(altered, seal)).not.toEqual([]);
      const anew = bundle(altered.filter(({ path }) => !/^(MANIFEST|SEAL)/.test(path)));
      expect(bundleFaults(anew.entries, null)).toEqual([]);
      if (one.path !== 'MANIFEST.sha256')
        expect(bundleFaults(anew.entries, seal)).toEqual([{ fault: 'other-seal', at: 'MANIFEST.sha256' }]);
    }),
  );
});
