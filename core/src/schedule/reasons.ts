import { linksOf, type LinkKind } from './links.ts';
import type { Prepared } from './prepared.ts';
import { isWork, type Plan } from './task.ts';

/** One step of why the last laying begins when it does: the task, and what it waited for; null where nothing came before it. */
export interface Reason {
  key: string;
  from: number;
  to: number;
  waitedFor: LinkKind | null;
  /** Quarters between what it waited for and its own start: nights, free days, or a day it would not have ended on. */
  idle: number;
}

/** Back from the laying that begins last over what ended last before each; the first cause first. */
export function reasonChain(prepared: Prepared, plan: Plan): Reason[] {
  const { tasks } = prepared;
  const links = linksOf(prepared, plan);
  const placed = tasks.map(({ key }) => plan.get(key)!);
  const laying = tasks.flatMap((task, k) => (isWork(task) && task.isLaying ? [k] : []));
  let at: number | null = laying.reduce<number | null>(
    (last, k) => (last === null || placed[k]!.from > placed[last]!.from ? k : last),
    null,
  );
  const chain: Reason[] = [];
  while (at !== null) {
    const { from, to } = placed[at]!;
    const cause: { from: number; kind: LinkKind } | null = links[at]!.reduce<{ from: number; kind: LinkKind } | null>(
      (last, one) => (last === null || placed[one.from]!.to > placed[last.from]!.to ? one : last),
      null,
    );
    chain.push({
      key: tasks[at]!.key,
      from,
      to,
      waitedFor: cause?.kind ?? null,
      idle: from - (cause ? placed[cause.from]!.to : 0),
    });
    at = cause?.from ?? null;
  }
  return chain.reverse();
}
