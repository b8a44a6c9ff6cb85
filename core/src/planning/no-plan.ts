import { say, type Said, type Sayable } from '../said/index.ts';
import type { NoPlan } from '../schedule/index.ts';
import type { Draft } from './draft.ts';

/** Why a job cannot be planned, by what its tasks are called. */
export function noPlanSaid(why: NoPlan, drafts: readonly Draft[]): Said {
  const named = (key: string): Sayable => drafts.find((one) => one.key === key)?.words ?? say('planning.someWork');
  switch (why.why) {
    case 'circle':
      return say('planning.circle', { one: named(why.keys[0] ?? ''), other: named(why.keys[1] ?? '') });
    case 'unknown':
      return say('planning.unknownTask', { one: named(why.key) });
    case 'held':
      return say('planning.neverHeld', { one: named(why.key), other: named(why.by) });
    case 'within':
      return say('planning.neverWithin', { one: named(why.key), other: named(why.of) });
    case 'never':
      return say('planning.neverFits', { one: named(why.key) });
  }
}
