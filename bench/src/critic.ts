import {
  failureChance,
  gapMap,
  gridOver,
  judgeFlat,
  proposeEdges,
  proposeStations,
  type Breaker,
  type EdgeWalk,
  type FlatFacts,
  type Grid,
  type ProposedEdge,
} from '@maquette/core/flat';
import { heightsFrom, rectanglePlan } from '../../core/src/flat/invented.ts';
import { normal, seeded } from '@maquette/core/units';

/** Right and wrong verdicts on fresh invented floors of 20 m2, a quarter of them with features narrower than any spacing. */
const RULE = { gapMm: 3, edgeMm: 2000 };
const STAFF_MM = 0.3;
const WEDGE_MM = 0.15;
const SECONDS = { staff: 20, edge: 35, setUp: 60 };
const [wideMm, deepMm] = [5000, 4000];
const plan = rectanglePlan(wideMm, deepMm);
const grid = gridOver(plan);

type Floor = (xM: number, yM: number) => number;

/** Waves of a random size; on every fourth floor also humps, hollows or a ridge narrower than 0.6 m. */
function inventFloor(seed: number): Floor {
  const chance = seeded(seed);
  const waves = Array.from({ length: 6 }, () => ({
    kx: (chance() - 0.5) * 5,
    ky: (chance() - 0.5) * 5,
    phase: chance() * 7,
    mm: (chance() - 0.3) * (0.6 + 2.2 * chance()),
  }));
  const slope = [(chance() - 0.5) * 6, (chance() - 0.5) * 6] as const;
  const narrow =
    seed % 4 === 0
      ? Array.from({ length: 1 + Math.floor(chance() * 3) }, () => ({
          x: 0.2 + chance() * 4.6,
          y: 0.2 + chance() * 3.6,
          mm: (chance() < 0.5 ? -1 : 1) * (1.5 + 4 * chance()),
          radius: 0.15 + 0.25 * chance(),
          ridge: chance() < 0.3 ? chance() * Math.PI : null,
        }))
      : [];
  return (x, y) =>
    slope[0] * x +
    slope[1] * y +
    waves.reduce((sum, w) => sum + w.mm * Math.sin(w.kx * x + w.ky * y + w.phase), 0) +
    narrow.reduce((sum, b) => {
      const [dx, dy] = [x - b.x, y - b.y];
      const across =
        b.ridge === null
          ? dx * dx + dy * dy
          : (dx * Math.sin(b.ridge) - dy * Math.cos(b.ridge)) ** 2 +
            0.1 * (dx * Math.cos(b.ridge) + dy * Math.sin(b.ridge)) ** 2;
      return sum + b.mm * Math.exp((-2 * across) / b.radius ** 2);
    }, 0);
}

function truth(floor: Floor): number {
  const map = gapMap(grid as Grid, heightsFrom(grid, floor), { edgeMm: RULE.edgeMm, directions: 36, worstOnly: true });
  return Math.max(map.worstGap?.valueMm ?? 0, map.worstCrown?.valueMm ?? 0);
}

/** Lays an edge on the true floor and reads it as a person does: contacts, the largest gap and two more; or that it rocks. */
function lay(
  floor: Floor,
  at: Pick<ProposedEdge, 'fromXMm' | 'fromYMm' | 'toXMm' | 'toYMm'>,
  id: number,
  chance: () => number,
): EdgeWalk {
  const length = Math.hypot(at.toXMm - at.fromXMm, at.toYMm - at.fromYMm);
  const n = Math.round(length / 20);
  const h = Array.from({ length: n + 1 }, (_, i) => {
    const t = i / n;
    return floor((at.fromXMm + t * (at.toXMm - at.fromXMm)) / 1000, (at.fromYMm + t * (at.toYMm - at.fromYMm)) / 1000);
  });
  // It lies on the hull segment under its middle.
  const hull: number[] = [];
  for (let i = 0; i <= n; i++) {
    while (
      hull.length >= 2 &&
      (h[hull.at(-1)!]! - h[hull.at(-2)!]!) * (i - hull.at(-2)!) <=
        (h[i]! - h[hull.at(-2)!]!) * (hull.at(-1)! - hull.at(-2)!)
    )
      hull.pop();
    hull.push(i);
  }
  const middle = n / 2;
  const on = hull.find((i, k) => i <= middle && (hull[k + 1] ?? n + 1) >= middle)!;
  const next = hull[hull.indexOf(on) + 1] ?? on;
  const read = (mm: number) => Math.max(0, Math.round((mm + WEDGE_MM * normal(chance)) * 10) / 10);
  const walk = (contacts: number[], gaps: { atMm: number; gapMm: number }[], rocksMm: number | null): EdgeWalk =>
    ({
      id: `e${String(id).padStart(3, '0')}`,
      ...pick(at),
      tool: 'straightedge',
      contactsMm: contacts,
      gaps,
      rocksMm,
      asked: false,
      takenAt: `t${String(id).padStart(3, '0')}`,
      note: '',
    }) as EdgeWalk;
  const mm = (i: number) => Math.round((i / n) * length);
  // Near its middle it rocks on one contact: the ends are read in balance.
  const rocker = [on, next].find((i) => Math.abs(i - middle) <= n * 0.1 && i > 0 && i < n);
  if (rocker !== undefined) {
    const a = Math.min(rocker, n - rocker);
    const rocks = h[rocker]! - (h[rocker - a]! + h[rocker + a]!) / 2;
    if (rocks > 0.5) {
      const tilt = (h[rocker + a]! - h[rocker - a]!) / (2 * a);
      const gapAt = (i: number) => h[rocker]! + tilt * (i - rocker) - h[i]!;
      const gaps = [0.25, 0.75].map((q) => Math.round(q * n)).map((i) => ({ atMm: mm(i), gapMm: read(gapAt(i)) }));
      return walk([mm(rocker)], gaps, read(rocks));
    }
  }
  const gapAt = (i: number) => h[on]! + ((h[next]! - h[on]!) * (i - on)) / (next - on || 1) - h[i]!;
  const worst = h.map((_, i) => i).reduce((most, i) => (gapAt(i) > gapAt(most) ? i : most), 0);
  const places = [...new Set([worst, Math.round(n * 0.25), Math.round(n * 0.5), Math.round(n * 0.75)])].filter(
    (i) => Math.abs(i - on) > 2 && Math.abs(i - next) > 2,
  );
  return walk(
    [mm(on), mm(next)],
    places.map((i) => ({ atMm: mm(i), gapMm: read(gapAt(i)) })),
    null,
  );
}
const pick = ({ fromXMm, fromYMm, toXMm, toYMm }: Pick<ProposedEdge, 'fromXMm' | 'fromYMm' | 'toXMm' | 'toYMm'>) => ({
  fromXMm,
  fromYMm,
  toXMm,
  toYMm,
});

const shown = (walk: EdgeWalk) => Math.max(walk.rocksMm ?? 0, ...walk.gaps.map((g) => g.gapMm));

interface Tried {
  verdict: 'lay' | 'work' | 'open';
  minutes: number;
  staffs: number;
  edges: number;
}

function quickPass(floor: Floor, chance: () => number, staffGrid: boolean): Tried {
  const facts: FlatFacts = { setups: [], readings: [], stations: [], edgeWalks: [] };
  const walks = facts.edgeWalks!;
  let seconds = 0;
  const done = (verdict: Tried['verdict']): Tried => ({
    verdict,
    minutes: seconds / 60,
    staffs: facts.readings.length,
    edges: walks.length,
  });
  if (staffGrid) {
    seconds += SECONDS.setUp;
    facts.setups.push({ id: 'A', name: 'A', openRodMm: 1000, closeRodMm: 1000, startedAt: 'a' } as never);
    proposeStations(plan, 600).forEach(({ xMm, yMm }, i) => {
      seconds += SECONDS.staff;
      facts.readings.push({
        id: `r${i}`,
        setupId: 'A',
        stationKey: `r${i}`,
        xMm,
        yMm,
        rodMm: Math.round((1000 - floor(xMm / 1000, yMm / 1000) + STAFF_MM * normal(chance)) * 2) / 2,
        takenAt: `r${i}`,
        note: '',
      } as never);
    });
  } else {
    const proposed = proposeEdges(plan, RULE.edgeMm);
    for (const [i, edge] of proposed.entries()) {
      // Half way, with every second line laid, a floor that is surely over needs no more.
      if (i === Math.ceil(proposed.length / 2)) {
        const state = judgeFlat(plan, facts, [RULE])!;
        if (state.rules[0]!.overMm > 0 && failureChance(state, [RULE], false)!.anyShare >= 0.9) return done('work');
      }
      seconds += SECONDS.edge;
      walks.push(lay(floor, edge, walks.length, chance));
      if (shown(walks.at(-1)!) > RULE.gapMm) return done('work');
    }
  }
  let asked = 0;
  let need = 3;
  for (let round = 0; round < 14; round++) {
    const state = judgeFlat(plan, facts, [RULE])!;
    const known = failureChance(state, [RULE], false)!;
    if (state.rules[0]!.overMm > 0 && known.anyShare >= 0.9) return done('work');
    // Where the verdict is open the likeliest placement settles it; so do those that try to break it.
    const open = known.anyShare > 0.5;
    const batch: Breaker[] = known.breakers.slice(0, open ? 1 : Math.max(1, Math.min(3, need - asked)));
    let close = false;
    for (const at of batch) {
      seconds += SECONDS.edge;
      walks.push(lay(floor, at, walks.length, chance));
      const mm = shown(walks.at(-1)!);
      if (mm > RULE.gapMm) return done('work');
      if (mm > RULE.gapMm - 0.3) close = true;
      asked++;
    }
    if (close) need = Math.min(9, Math.max(need, asked + 2));
    if (asked >= (open ? Math.max(6, need) : need)) return done('lay');
  }
  return done('open');
}

const [from, to] = [Number(process.argv[2] ?? 1), Number(process.argv[3] ?? 100)];
for (const staffGrid of process.argv[4] ? [process.argv[4] === 'staff'] : [true, false]) {
  const count = { n: 0, over: 0, right: 0, falseLay: 0, falseWork: 0, open: 0, minutes: 0, edges: 0 };
  for (let seed = from; seed <= to; seed++) {
    const floor = inventFloor(seed);
    const over = truth(floor) > RULE.gapMm;
    const { verdict, minutes, edges } = quickPass(floor, seeded(seed + 7777), staffGrid);
    count.n++;
    count.edges += edges;
    if (over) count.over++;
    if (verdict === 'open') count.open++;
    if ((verdict === 'work' && over) || (verdict === 'lay' && !over)) count.right++;
    if (verdict === 'lay' && over) {
      count.falseLay++;
      console.log('false lay', seed, truth(floor).toFixed(2));
    }
    if (verdict === 'work' && !over) console.log('false work', seed, truth(floor).toFixed(2));
    if (verdict === 'open') console.log('open', seed, truth(floor).toFixed(2));
    if (verdict === 'work' && !over) count.falseWork++;
    count.minutes += minutes;
  }
  const share = (k: number) => `${((k / count.n) * 100).toFixed(1)} %`;
  console.log(
    staffGrid ? 'staffs 0.6 m and edges' : 'edges both ways',
    `${count.n} floors, ${count.over} over: right ${share(count.right)}, false lay ${share(count.falseLay)}, false work ${share(count.falseWork)}, open ${share(count.open)}, ${(count.minutes / count.n).toFixed(1)} min, ${(count.edges / count.n).toFixed(1)} edges`,
  );
}
