import { celsius, say } from '../said/index.ts';
import type { DampEvidence } from './damp-tasks.ts';
import type { Chain } from './draft.ts';
import type { RoomGround } from './room-ground.ts';

/** Hours of gluing that end on the day they begin: bays are spread, laid and rolled in one. */
const GLUED_DAY_H = 6;
const HOURS_A_DAY = 24;
/** Heating that cannot be turned off is taken down to this while planks are laid, °C. */
const LOW_C = 18;

/** Boxes carried in and lying in the card's air, beside everything else; gives what laying waits for. */
export function acclimatiseTasks(g: RoomGround, chain: Chain, delivery: readonly string[]): string[] {
  const { set, figure, lay, assessment } = g;
  const held = assessment.lay?.clocks ?? [];
  const boxes = lay?.boxes?.boxes ?? Math.max(1, Math.ceil(g.areaM2 / 2));
  chain.last = [...delivery];
  if (held.length === 0) {
    chain.work('order', 'carry', say('planning.carryIn', { boxes }), Math.max(0.25, boxes * figure('carry-box-h')), {
      mostPeople: 2,
      unbroken: true,
    });
    chain.wait(
      'order',
      'acclimatise',
      say('planning.acclimatise', { hours: set.card.acclimatiseH }),
      set.card.acclimatiseH,
    );
    return chain.last;
  }
  const stoodAt = held.reduce((last, { boxes: { stoodAt: at } }) => (at > last ? at : last), held[0]!.boxes.stoodAt);
  chain.last = [];
  chain.work('order', 'carry', say('planning.carryIn', { boxes }), Math.max(0.25, boxes * figure('carry-box-h')), {
    ticks: [],
    doneAt: stoodAt,
  });
  // Of the batch that has the longest way to go; a breach of the air began its clock anew.
  const leftH = Math.max(...held.map(({ hoursNeeded, hoursDone, isDone }) => (isDone ? 0 : hoursNeeded - hoursDone)));
  const key = chain.wait('order', 'acclimatise', say('planning.acclimatise', { hours: set.card.acclimatiseH }), leftH);
  if (key) chain.tasks.at(-1)!.after = [];
  return chain.last;
}

/** Heating taken down, underlay or film rolled out, planks laid: at once, or glued in bays that each end on their day. */
export function layTasks(g: RoomGround, chain: Chain, evidence: DampEvidence | null): void {
  const { set, figure, lay, areaM2, assessment } = g;
  const isGlued = set.card.kind === 'glue-down-vinyl';
  const isHeated = set.room.base.heating === 'water' || set.room.base.heating === 'electric';
  const within = evidence ? { of: evidence.key, hours: HOURS_A_DAY * figure('damp-age-days') } : null;
  if (isHeated) {
    chain.work('heating', 'off', say('planning.heatingOff', { low: celsius(LOW_C, 0) }), 0.25, { unbroken: true });
    chain.wait('heating', 'off-stands', say('planning.heatingStands'), figure('heat-off-h'));
  }
  const under = assessment.under?.chosen;
  const underH =
    under && (under.offered.underlay || under.offered.film) ? Math.max(0.25, areaM2 * figure('film-h-m2')) : 0;
  if (!isGlued) chain.work('lay', 'under', say('planning.rollOut'), underH, { mostPeople: 2 });
  // Frames are sawn before planks come to them.
  const frames = new Set(
    (assessment.heights?.undercuts ?? [])
      .filter(({ cut, treatment }) => cut && treatment === 'saw')
      .map(({ openingId, end }) => `${openingId}/${end}`),
  );
  chain.work('lay', 'frames', say('planning.frames', { count: frames.size }), frames.size * figure('jamb-h'), {
    isLoud: true,
  });
  const layH = Math.max(0.5, lay ? lay.minutes / 60 : areaM2 * LAY_H_M2);
  if (!isGlued) {
    chain.work('lay', 'planks', say('planning.lay', { count: lay?.planks ?? 0 }), layH, {
      isLaying: true,
      within,
      ticks: [],
      doneAt: laidAt(g),
    });
    return;
  }
  const days = Math.max(1, Math.ceil(layH / GLUED_DAY_H - 1e-9));
  const openKey = `${set.room.id}/lay/hard`;
  for (let day = 1; day <= days; day++)
    chain.work('lay', day === 1 ? 'planks' : `planks-${day}`, say('planning.glue', { day, days }), layH / days, {
      unbroken: true,
      isLaying: day === 1,
      within: day === 1 ? within : null,
      // Each day goes on from the last; the floor as a whole is shut once its last part is down.
      shutUntil: day === days ? openKey : null,
      ticks: [],
      doneAt: laidAt(g),
    });
  chain.wait('lay', 'hard', say('planning.glueHard'), figure('glue-wait-h'));
}
/** Where no set-out says how long planks take, hours a square metre. */
const LAY_H_M2 = 0.12;

/** When the last row was laid, where all rows are on record; null while some are not. */
function laidAt({ set, lay }: RoomGround): string | null {
  const laid = set.laidRows.filter(({ isLaid }) => isLaid);
  const strips = new Set(laid.map(({ row, strip }) => `${row}/${strip}`)).size;
  const all = new Set(lay?.rows.map(({ row, strip }) => `${row}/${strip}`)).size;
  if (!lay || all === 0 || strips < all) return null;
  return laid.reduce((last, { laidAt: at }) => (at > last ? at : last), laid[0]!.laidAt);
}
