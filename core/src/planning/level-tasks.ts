import { coverHours } from '../levelling/index.ts';
import { say } from '../said/index.ts';
import { slowness } from './damp-tasks.ts';
import type { Chain } from './draft.ts';
import type { RoomGround } from './room-ground.ts';

/** The floor read where nobody has, ground, primed, poured lift by lift and read again. */
export function levelTasks(g: RoomGround, chain: Chain): void {
  const { figure, level, areaM2, set } = g;
  const id = set.room.id;
  const readH = Math.max(0.5, areaM2 * figure('read-h-m2'));
  const unread =
    level === 'unread' ||
    g.assessment.criteria.some(({ id: c, verdict }) => c.startsWith('flat') && verdict === 'measure');
  if (unread) chain.work('level', 'read', say('planning.readFloor'), readH, { ticks: [] });
  if (level === null || level === 'unread' || level === 'none') return;
  const slow = slowness(g);
  const grindingH = level.grindL / figure('grind-l-h');
  if (level.grindL > 0)
    chain.work('level', 'grind', say('planning.grind'), Math.min(level.hours, grindingH), {
      machines: ['grinder'],
      isLoud: true,
      isPriced: true,
    });
  if (level.fillL > 0 && level.need) {
    const rest = Math.max(0.5, level.hours - (level.grindL > 0 ? Math.min(level.hours, grindingH) : 0));
    const { compound, lifts } = level.need;
    const primeH = Math.min(rest / 2, Math.max(0.25, level.touchedM2 * figure('touch-h-m2')));
    const prime = chain.work('level', 'prime', say('planning.prime'), primeH, {
      unbroken: true,
      // Nobody treads on wet primer.
      shutUntil: `${id}/level/primer`,
      isPriced: true,
    })!;
    chain.wait('level', 'primer', say('planning.primerDries'), figure('primer-dry-h') * slow);
    const perLift = (rest - primeH) / lifts;
    for (let lift = 1; lift <= lifts; lift++) {
      chain.work(
        'level',
        lift === 1 ? 'pour' : `pour-${lift}`,
        lifts === 1
          ? say(compound.feathers ? 'planning.patch' : 'planning.pour', { bags: level.need.bags })
          : say('planning.pourLift', { lift, lifts }),
        perLift,
        {
          unbroken: true,
          mostPeople: 2,
          isPriced: true,
          shutUntil: `${id}/level/${lift < lifts ? `lift-${lift}` : 'walk'}`,
          within: lift === 1 ? { of: prime, hours: figure('prime-within-h') } : null,
        },
      );
      if (lift < lifts)
        chain.wait('level', `lift-${lift}`, say('planning.liftStands', { lift }), compound.walkH * slow);
    }
    chain.wait('level', 'walk', say('planning.walkOn'), compound.walkH * slow);
    const walk = chain.last;
    const coverH = Math.max(0, coverHours(compound, level.deepestMm) - compound.walkH) * slow;
    chain.wait('level', 'cover', say('planning.cover'), coverH);
    const cover = chain.last;
    chain.last = walk;
    chain.work('level', 'again', say('planning.readAgain'), readH * figure('reread-share'), { ticks: [] });
    chain.last = [...new Set([...chain.last, ...cover])];
  } else chain.work('level', 'again', say('planning.readAgain'), readH * figure('reread-share'), { ticks: [] });
}

/** Panels carried in early, fixed once they have stood, their seams filled and rubbed down. */
export function panelTasks(g: RoomGround, chain: Chain, opening: readonly string[]): void {
  const { figure, assessment, areaM2 } = g;
  const under = assessment.under;
  if (!under?.panel || under.panelStops.length > 0) return;
  const before = chain.last;
  chain.last = [...opening];
  chain.work('panels', 'carry', say('planning.panelsIn'), figure('panel-carry-h'), { mostPeople: 2 });
  chain.wait('panels', 'stand', say('planning.panelsStand'), figure('panel-stand-h'));
  chain.last = [...new Set([...before, ...chain.last])];
  chain.work('panels', 'fix', say('planning.panelsFix'), areaM2 * figure('panel-h-m2'), {
    isLoud: true,
  });
  chain.work('panels', 'fill', say('planning.panelsFill'), (areaM2 * figure('panel-rub-h-m2')) / 2, { unbroken: true });
  chain.wait('panels', 'filler', say('planning.fillerSets'), figure('panel-fill-h'));
  chain.work('panels', 'rub', say('planning.panelsRub'), (areaM2 * figure('panel-rub-h-m2')) / 2);
}
