import { facesOf, probeDepthMm, type DampContext, type DampMethod } from '@maquette/core/damp';
import type { PointMm } from '@maquette/core/room';
import { newId, nowUtc } from '../../data/ids.ts';
import { write } from '../../data/write.ts';

const LETTER: Record<DampMethod, string> = {
  survey: 'S',
  probe: 'P',
  hood: 'H',
  dish: 'D',
  carbide: 'C',
  pin: 'M',
  film: 'F',
  alkalinity: 'A',
  'water-drop': 'W',
  scratch: 'R',
};
/** Methods that wait from the moment they are set. */
const WAITS: readonly DampMethod[] = ['probe', 'hood', 'dish', 'film'];
/** Area under the usual dome, m2 (about half a square foot): the maker's figure wins. */
const DOME_M2 = 0.0465;

/** Sets a test at a place, now, with the depth its slab asks for; gives its id. */
export async function setTest(ctx: DampContext, method: DampMethod, at: PointMm): Promise<string> {
  const id = newId();
  const like = ctx.facts.dampTests.filter((t) => t.method === method);
  const numbers = like.map((t) => Number(/\d+$/.exec(t.name)?.[0] ?? 0));
  const name = `${LETTER[method]}${Math.max(0, ...numbers) + 1}`;
  const slab = ctx.room.base.slabMm;
  const last = like[like.length - 1];
  await write(`Test ${name} set`, [
    {
      kind: 'dampTests',
      id,
      roomId: ctx.room.id,
      body: {
        method,
        name,
        xMm: at.xMm,
        yMm: at.yMm,
        startedAt: WAITS.includes(method) ? nowUtc() : null,
        depthMm: method === 'probe' && slab !== null ? Math.round(probeDepthMm(slab, facesOf(ctx))) : null,
        startG: null,
        areaM2: method === 'dish' ? (last?.areaM2 ?? DOME_M2) : null,
        of: 'base',
        offsetPercent: last?.offsetPercent ?? 0,
        compensates: last?.compensates ?? false,
        instrument: last?.instrument ?? '',
        checkedOn: last?.checkedOn ?? '',
        note: '',
      },
    },
  ]);
  return id;
}
