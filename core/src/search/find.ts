/** One value of a fact as it can be found: what its field is called, and what stands in it. */
export interface FoundValue {
  field: string;
  text: string;
}

/** A fact as it can be found. */
export interface Searchable {
  id: string;
  /** Where it is and what kind of thing: its job, its room, its kind. Words found here alone make no hit. */
  about: readonly string[];
  values: readonly FoundValue[];
  /** When it was last changed, UTC: of those that fit alike the newest comes first. */
  at: string;
}

export interface Hit<T extends Searchable> {
  of: T;
  /** The values in which something of the question was found, in the order of the fact. */
  in: FoundValue[];
}

/** Words of a question that are looked for nowhere: where did we use batch L 2207. */
const FILLING: ReadonlySet<string> = new Set([
  'a',
  'an',
  'and',
  'any',
  'are',
  'at',
  'did',
  'do',
  'does',
  'for',
  'from',
  'had',
  'has',
  'have',
  'how',
  'i',
  'in',
  'is',
  'it',
  'of',
  'on',
  'or',
  'our',
  'that',
  'the',
  'there',
  'this',
  'to',
  'use',
  'used',
  'was',
  'we',
  'were',
  'what',
  'when',
  'where',
  'which',
  'who',
  'with',
  'you',
]);

/** A text as it is compared: small letters without their accents, a decimal comma as a point. */
const plain = (text: string): string =>
  text
    .normalize('NFKD')
    .replace(/\p{M}/gu, '')
    .toLowerCase()
    .replace(/(\d),(?=\d)/g, '$1.')
    .replace(/−/g, '-');

/** What a text is made of: letters and figures, a figure with its point as one. */
const wordsOf = (text: string): string[] => plain(text).match(/-?\d+(?:\.\d+)?|[\p{L}]+/gu) ?? [];

/** What is looked for. Where nothing but filling is written, that is looked for. */
export function questionOf(text: string): string[] {
  const all = [...new Set(wordsOf(text))];
  const meant = all.filter((word) => !FILLING.has(word));
  return meant.length > 0 ? meant : all;
}

const [WHOLE, BEGUN, WITHIN, ABOUT] = [8, 4, 2, 1];

/**
 * How well a word of a question fits one of some words: all of it, its beginning, or within. Figures fit whole or as they are
 * being typed; a letter by itself is a word of its own, as in the name of a batch.
 */
function fitOf(asked: string, words: readonly string[]): number {
  let best = 0;
  const isLetter = asked.length === 1 && !/\d/.test(asked);
  for (const word of words) {
    if (word === asked) return WHOLE;
    if (isLetter) continue;
    if (word.startsWith(asked)) best = Math.max(best, BEGUN);
    else if (asked.length > 2 && !/\d/.test(asked) && word.includes(asked)) best = Math.max(best, WITHIN);
  }
  return best;
}

/**
 * Facts in which every word of a question is found: in a value, in what its field is called, or in where it is; where it is alone
 * makes no hit. The best fit comes first, of those alike the newest.
 *
 * @param most - hits that are told at most
 */
export function findFacts<T extends Searchable>(facts: readonly T[], text: string, most = 60): Hit<T>[] {
  const question = questionOf(text);
  if (question.length === 0) return [];
  const hits: (Hit<T> & { score: number })[] = [];
  for (const of of facts) {
    const about = wordsOf(of.about.join(' '));
    const values = of.values.map((value) => ({ value, words: wordsOf(value.text), field: wordsOf(value.field) }));
    const found = new Set<FoundValue>();
    let score = 0;
    const isAll = question.every((asked) => {
      let best = 0;
      for (const { value, words, field } of values) {
        const fit = fitOf(asked, words) || (fitOf(asked, field) > 0 ? ABOUT : 0);
        if (fit > 0) found.add(value);
        best = Math.max(best, fit);
      }
      if (best === 0 && fitOf(asked, about) > 0) best = ABOUT;
      score += best;
      return best > 0;
    });
    if (isAll && found.size > 0) hits.push({ of, in: of.values.filter((value) => found.has(value)), score });
  }
  return hits
    .sort((a, b) => b.score - a.score || (a.of.at > b.of.at ? -1 : a.of.at < b.of.at ? 1 : a.of.id < b.of.id ? -1 : 1))
    .slice(0, most)
    .map(({ of, in: values }) => ({ of, in: values }));
}
