import type { Sayable } from '@maquette/core/said';
import type { FoundValue, Searchable } from '@maquette/core/search';
import { formatArea, formatMass, formatRod, formatTemperature, unitLabel, type UnitSystem } from '@maquette/core/units';
import { findCard } from '@maquette/core/coverings';
import { BOOK_FACT_KINDS, KINDS, ROOM_FACT_KINDS, type FactKind } from '@maquette/facts';
import type { ShownRoomLists } from '../data/fact-store.ts';
import type { ShownBook } from '../data/use-facts.ts';
import { fieldName } from '@maquette/facts/field-name';

/** A fact of the book as it can be found, with where it is. */
export interface Entry extends Searchable {
  kind: FactKind;
  jobId: string | null;
  roomId: string | null;
}

type Body = Readonly<Record<string, unknown>>;
const bodyIn = (fact: object): Body => Object.fromEntries(Object.entries(fact));

/** A figure as whoever looks for it reads it. */
function figureWords(value: number, unit: string, units: UnitSystem): string {
  if (units === 'imperial') {
    if (unit === 'mm') return `${formatRod(value, units)} ${unitLabel(units)}`;
    if (unit === 'm²') return formatArea(value, units);
    if (unit === 'kg') return formatMass(value, units);
    if (unit === '°C') return formatTemperature(value, units);
  }
  return unit ? `${value} ${unit}` : String(value);
}

/** Names, notes and choices as they are read, figures as they stand; places, lists and what only the program reads are not looked in. */
function valuesOf(kind: FactKind, body: Body, units: UnitSystem): FoundValue[] {
  return Object.entries(KINDS[kind].fields).flatMap(([name, { spec }]): FoundValue[] => {
    const value = body[name];
    if (spec.type === 'text' && !spec.carriesIds && typeof value === 'string' && value !== '')
      return [{ field: fieldName(name), text: value }];
    if (spec.type === 'choice' && typeof value === 'string')
      return [{ field: fieldName(name), text: value.replaceAll('-', ' ') }];
    if (spec.type === 'figure' && typeof value === 'number' && name !== 'rank' && !/[xyXY]Mm$/.test(name))
      return [{ field: fieldName(name), text: figureWords(value, spec.unit, units) }];
    return [];
  });
}

/** What is read by the hundred, or only ticked: nobody looks for one of them by its figure. */
const NOT_LOOKED_IN: ReadonlySet<FactKind> = new Set([
  'readings',
  'stations',
  'airReadings',
  'scans',
  'ticks',
  'poses',
]);

/** Every fact of the book and of its rooms that has something to be found in; packs also by their product's name, where it is known. */
export function entriesOf(
  book: ShownBook,
  rooms: readonly { id: string; lists: ShownRoomLists }[],
  say: (words: Sayable) => string,
  units: UnitSystem,
  productName: (id: string) => string | undefined = () => undefined,
): Entry[] {
  const jobName = new Map(book.jobs.map(({ id, name }) => [id, name]));
  const roomOf = new Map(book.rooms.map((room) => [room.id, room]));
  const entry = (
    kind: FactKind,
    body: Body,
    at: Pick<Entry, 'jobId' | 'roomId'>,
    more: FoundValue[] = [],
    of?: string,
  ): Entry[] => {
    const values = [...valuesOf(kind, body, units), ...more];
    if (values.length === 0) return [];
    const about = [jobName.get(at.jobId ?? ''), roomOf.get(at.roomId ?? '')?.name, of, KINDS[kind].words];
    return [
      {
        ...{ kind, id: String(body['id']), ...at, values },
        about: about.flatMap((one) => (one ? [one] : [])),
        at: String(body['updatedAt'] ?? ''),
      },
    ];
  };
  const ofBook = BOOK_FACT_KINDS.flatMap((kind) =>
    book[kind].map(bodyIn).flatMap((body) => {
      const id = String(body['id']);
      if (kind === 'rooms') {
        const card = findCard(book.cards, String(body['cardId']));
        const covering = card ? [{ field: 'Covering', text: say(card.name) }] : [];
        return entry(kind, body, { jobId: String(body['jobId']), roomId: id }, covering);
      }
      const jobId = kind === 'jobs' ? id : typeof body['jobId'] === 'string' ? body['jobId'] : null;
      const roomId = typeof body['ofRoomId'] === 'string' ? body['ofRoomId'] : null;
      const product = kind === 'packCounts' ? productName(String(body['productId'])) : undefined;
      return entry(kind, body, { jobId, roomId }, product ? [{ field: 'Product', text: product }] : [], product);
    }),
  );
  const ofRooms = rooms.flatMap(({ id, lists }) =>
    ROOM_FACT_KINDS.filter((kind) => !NOT_LOOKED_IN.has(kind)).flatMap((kind) =>
      lists[kind]
        .map(bodyIn)
        .flatMap((body) => entry(kind, body, { jobId: roomOf.get(id)?.jobId ?? null, roomId: id })),
    ),
  );
  return [...ofBook, ...ofRooms];
}
