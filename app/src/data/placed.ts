/** Something that stands in a list by its rank; of equal ranks by its id. */
interface Ranked {
  id: string;
  rank: number;
}

/**
 * What has to be written for `id` to stand at place `to` of a list: itself with a rank between its new neighbours; where there is
 * none between them, every one of the list with a rank of its own.
 * @param list in its order, as shown
 */
export function placed<T extends Ranked>(list: readonly T[], id: string, to: number): T[] {
  const one = list.find((other) => other.id === id);
  if (!one || list.indexOf(one) === to) return [];
  const others = list.filter((other) => other !== one);
  const [before, after] = [others[to - 1], others[to]];
  const rank = !before ? after!.rank - 1 : !after ? before.rank + 1 : (before.rank + after.rank) / 2;
  if ((!before || before.rank < rank) && (!after || rank < after.rank)) return [{ ...one, rank }];
  const inOrder = [...others.slice(0, to), one, ...others.slice(to)];
  return inOrder.map((other, index) => ({ ...other, rank: index }));
}
