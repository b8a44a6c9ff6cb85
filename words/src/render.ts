import { IntlMessageFormat } from 'intl-messageformat';
import type { Quantity, Said, Sayable, Value } from '@maquette/core/said';
import type { UnitSystem } from '@maquette/core/units';
import { writeQuantity } from './quantities.ts';

/** Every sentence of one language by its code, in ICU message syntax. */
export type Catalogue = Readonly<Record<string, string>>;

/** What a saying is in words, in the units and by the clock of the zone asked for; UTC where none is. A text is what a user wrote, and stays as it is. */
export type Render = (said: Sayable, units: UnitSystem, zone?: string) => string;

const isSaid = (value: object): value is Said => 'code' in value;
const isQuantity = (value: object): value is Quantity => 'quantity' in value;

/** First letter small, as within a sentence; a name of letters and figures such as `W3` stays. */
const lowered = (text: string) => (/^[A-Z][a-z]*([ ,’-]|$)/.test(text) ? text[0]!.toLowerCase() + text.slice(1) : text);

// The language is the catalogue's own: asking the browser which ones it knows takes a tenth of a second on a slow phone.
IntlMessageFormat.resolveLocale = (locales) => new Intl.Locale(typeof locales === 'string' ? locales : locales[0]!);

/**
 * Renders sayings from a catalogue. A message is read once and kept.
 * @throws where a code is not in the catalogue, or a sentence asks for something that it was not given
 */
export function createRender(catalogue: Catalogue, locale: string): Render {
  const read = new Map<string, IntlMessageFormat>();

  function messageOf(code: string): IntlMessageFormat {
    const kept = read.get(code);
    if (kept) return kept;
    const text = catalogue[code];
    if (text === undefined) throw new Error(`No sentence has the code ${code}`);
    // What looks like a tag is a sign for less or more.
    const made = new IntlMessageFormat(text, locale, undefined, { ignoreTag: true });
    read.set(code, made);
    return made;
  }

  function written(value: Value, units: UnitSystem, zone: string): string | number {
    // A figure stays one: the message may choose its words by it.
    if (typeof value !== 'object') return value;
    if (isSaid(value)) return render(value, units, zone);
    if (isQuantity(value)) return writeQuantity(value, units, zone);
    if ('listed' in value) return value.listed.map((one) => render(one, units, zone)).join(value.by);
    return lowered(render(value.lowered, units, zone));
  }

  const render: Render = (said, units, zone = 'UTC') => {
    if (typeof said === 'string') return said;
    const values = Object.entries(said.values).map(([name, value]) => [name, written(value, units, zone)] as const);
    return String(messageOf(said.code).format(Object.fromEntries(values)));
  };
  return render;
}
