/** Something to fetch: whole packs of one product at one supplier, by the day it is first needed. */
export interface ToFetch {
  id: string;
  supplier: string;
  packs: number;
  kgEach: number;
  litresEach: number;
  /** Day of the plan on which it is first used; the run goes before. */
  neededDay: number;
}

/** One trip to a supplier, with what is loaded. */
export interface ShoppingRun {
  supplier: string;
  /** Day on which the first of it is used. */
  byDay: number;
  load: { id: string; packs: number }[];
  kg: number;
  litres: number;
}

export interface Van {
  kg: number;
  litres: number;
}

const HAIR = 1e-9;

/**
 * Trips by supplier, what is needed first loaded first, and no pack parted. A pack heavier or larger than the van goes by itself.
 *
 * @param earlyDays - a later need rides with an earlier trip where it is needed so many days after it at most: what lies for
 * months stands in the way, ages, and goes back no more
 * @returns the trips in the order of their days, and for each supplier how few there could be by weight and room alone
 */
export function shoppingRuns(
  items: readonly ToFetch[],
  van: Van,
  earlyDays: number,
): { runs: ShoppingRun[]; least: Readonly<Record<string, number>> } {
  const suppliers = [...new Set(items.map(({ supplier }) => supplier))];
  const least: Record<string, number> = {};
  const runs = suppliers.flatMap((supplier): ShoppingRun[] => {
    const own = items
      .filter((one) => one.supplier === supplier && one.packs > 0)
      .sort((a, b) => a.neededDay - b.neededDay || b.kgEach - a.kgEach || (a.id < b.id ? -1 : 1));
    const sum = (each: (item: ToFetch) => number) => own.reduce((all, item) => all + item.packs * each(item), 0);
    least[supplier] = Math.max(
      own.length > 0 ? 1 : 0,
      Math.ceil(sum(({ kgEach }) => kgEach) / van.kg - HAIR),
      Math.ceil(sum(({ litresEach }) => litresEach) / van.litres - HAIR),
    );
    const trips: ShoppingRun[] = [];
    for (const { id, packs, kgEach, litresEach, neededDay } of own)
      for (let left = packs; left > 0;) {
        const fits = ({ kg, litres }: ShoppingRun) =>
          kg > van.kg + HAIR || litres > van.litres + HAIR
            ? 0
            : Math.min(
                kgEach > 0 ? Math.floor((van.kg - kg) / kgEach + HAIR) : left,
                litresEach > 0 ? Math.floor((van.litres - litres) / litresEach + HAIR) : left,
              );
        let trip = trips.find((one) => neededDay - one.byDay <= earlyDays && fits(one) >= 1);
        if (!trip) trips.push((trip = { supplier, byDay: neededDay, load: [], kg: 0, litres: 0 }));
        const taken = Math.max(1, Math.min(left, fits(trip)));
        const held = trip.load.find((one) => one.id === id);
        if (held) held.packs += taken;
        else trip.load.push({ id, packs: taken });
        trip.kg += taken * kgEach;
        trip.litres += taken * litresEach;
        left -= taken;
      }
    return trips;
  });
  return { runs: runs.sort((a, b) => a.byDay - b.byDay || (a.supplier < b.supplier ? -1 : 1)), least };
}
