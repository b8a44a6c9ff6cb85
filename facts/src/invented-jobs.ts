import { DAMP_METHODS } from '@maquette/core/damp';
import { CONDITIONS, FIXINGS, LAYER_KINDS, LAYERS, PARTS } from '@maquette/core/layers';
import {
  BASE_KINDS,
  BENEATH_KINDS,
  BLANK_SHAPE,
  GRADES,
  HEATINGS,
  newFixture,
  newOpening,
  outlineOf,
  rectangleWalls,
  UNKNOWN_BASE,
  type Wall,
} from '@maquette/core/room';
import { MARK_KINDS, MARK_SHAPES, SEVERITIES } from '@maquette/core/soundness';
import { normal, roundTo, seeded } from '@maquette/core/units';
import { oldAnswers, putAir } from './invented-job-parts.ts';

/** A fact as job files of version 3 wrote it. Later versions read these, so answers can be held against each other for good. */
export interface FiledV3 {
  kind: string;
  id: string;
  roomId: string | null;
  body: Record<string, unknown>;
}

const STARTED = Date.parse('2026-05-04T08:00:00.000Z');
const at = (hours: number) => new Date(STARTED + hours * 3_600_000).toISOString();
const CARDS = ['shipped-click-vinyl', 'shipped-laminate', 'shipped-glue-vinyl', 'shipped-engineered'];

/** A job with one random room, the same for the same seed: every kind of fact turns up in some of them. */
export function inventedJob(seed: number): FiledV3[] {
  const chance = seeded(seed * 7919 + 13);
  const between = (low: number, high: number) => Math.round(low + (high - low) * chance());
  const pick = <T>(list: readonly T[]): T => list[Math.floor(chance() * list.length)]!;
  const often = (share: number) => chance() < share;
  const facts: FiledV3[] = [];
  const [jobId, roomId] = [`job-${seed}`, `room-${seed}`];
  let count = 0;
  const put = (kind: string, body: Record<string, unknown>, id = `${kind.toLowerCase()}-${seed}-${++count}`) => {
    facts.push({ kind, id, roomId, body });
    return id;
  };
  facts.push({
    kind: 'jobs',
    id: jobId,
    roomId: null,
    body: {
      name: `Job ${seed}`,
      about: '',
      rank: 0,
      country: pick([null, 'GB', 'US', 'DE']),
      currency: pick(['', 'EUR']),
      asbestosFrom: null,
      leadFrom: null,
    },
  });
  if (often(0.3))
    facts.push({
      kind: 'figures',
      id: `figure-${seed}`,
      roomId: null,
      body: { jobId, name: 'carry-kg', value: between(10, 30), source: 'ours' },
    });
  const [wide, deep] = [between(2200, 5600), between(2000, 4600)];
  const notch = { wide: between(500, wide / 2), deep: between(500, deep / 2) };
  const turned = (lengthMm: number, turnDeg = 90): Wall => ({ lengthMm, turnDeg });
  const walls = often(0.7)
    ? rectangleWalls(wide, deep)
    : [
        turned(wide),
        turned(deep - notch.deep),
        turned(notch.wide, -90),
        turned(notch.deep),
        turned(wide - notch.wide),
        turned(deep),
      ];
  const { corners } = outlineOf(walls);
  const place = () => ({ xMm: between(150, wide - 600), yMm: between(150, deep - 600) });
  const openings = [{ ...newOpening(`door-${seed}`, 0, 100, 800), beyond: pick(['unknown', 'tile', 'carpet']) }];
  const fixtures = often(0.4)
    ? [newFixture(`fixture-${seed}`, pick(['register', 'pipe', 'cabinet', 'hearth', 'toilet']), place(), 0)]
    : [];
  const lineId = `line-${seed}`;
  const lines = often(0.3) ? [{ id: lineId, name: 'joint', axMm: wide / 2, ayMm: 0, bxMm: wide / 2, byMm: deep }] : [];
  const base = () => ({
    ...UNKNOWN_BASE,
    slabMm: often(0.5) ? between(60, 180) : null,
    beneath: pick(BENEATH_KINDS),
    grade: pick(GRADES),
    heating: pick(HEATINGS),
    joistDeg: often(0.4) ? pick([0, 90]) : null,
    joistSpacingMm: often(0.4) ? pick([400, 450, 600]) : null,
  });
  const where = () => (lines.length > 0 && often(0.5) ? [{ lineId, side: pick(['left', 'right']) }] : []);
  facts.push({
    kind: 'rooms',
    id: roomId,
    roomId: null,
    body: {
      jobId,
      name: `Room ${seed}`,
      rank: 0,
      walls,
      ...BLANK_SHAPE,
      openings,
      fixtures,
      lines,
      baseKind: pick(BASE_KINDS),
      base: base(),
      secondBase:
        lines.length > 0 && often(0.5)
          ? { ...base(), kind: pick(BASE_KINDS), where: [{ lineId, side: 'left' }] }
          : null,
      cardId: pick(CARDS),
      units: pick(['metric', 'metric', 'imperial']),
      spacingMm: pick([null, null, 500]),
      contactsOnly: often(0.2),
    },
  });

  const layerIds: string[] = [];
  for (let n = 0; n < between(0, 3); n++) {
    const kind = pick(LAYER_KINDS);
    const id = put('layers', {
      kind,
      rank: n,
      thicknessMm: LAYERS[kind].thicknessMm,
      fixing: pick(FIXINGS),
      year: often(0.4) ? between(1950, 2020) : null,
      yearOf: pick(['layer', 'building', 'unknown']),
      condition: pick(CONDITIONS),
      where: where(),
      seams: [],
      groutMm: null,
      groutDepthMm: null,
      lippageMm: null,
      foundAt: 'survey',
      note: '',
    });
    layerIds.push(id);
    if (often(0.4))
      put('samples', {
        layerId: id,
        part: pick(PARTS),
        where: [],
        sampleNo: `${n}`,
        laboratory: 'invented',
        resultOn: '2026-05-04',
        result: pick(['negative', 'negative', 'positive']),
        note: '',
      });
    if (often(0.3))
      for (let t = 0; t < 12; t++) put('taps', { layerId: id, ...place(), sound: pick(['sound', 'hollow']) });
    if (often(0.3)) put('answers', { topic: `layer/${id}`, value: pick(['keep', 'make-good', 'remove']), note: 'n' });
    if (often(0.15)) put('ticks', { key: `layer/${id}`, doneAt: at(3), note: '' });
  }
  for (const [topic, values] of oldAnswers(seed, at)) {
    // Twice at times: the newest counts.
    const several = often(0.3) ? (often(0.2) ? 2 : 1) : 0;
    for (let n = 0; n < several; n++) put('answers', { topic, value: pick(values), note: '' });
  }
  for (let n = 0; n < between(0, 4); n++) {
    const shape = pick(MARK_SHAPES);
    const from = place();
    put('marks', {
      kind: pick(MARK_KINDS),
      ...from,
      shape,
      points:
        shape === 'point'
          ? []
          : [
              from,
              { xMm: from.xMm + 400, yMm: from.yMm },
              ...(shape === 'area' ? [{ xMm: from.xMm + 200, yMm: from.yMm + 300 }] : []),
            ],
      sizeMm: often(0.4) ? between(2, 60) : null,
      depthMm: often(0.3) ? between(1, 30) : null,
      stepMm: often(0.4) ? roundTo(3 * chance(), 0.1) : null,
      moveMm: often(0.2) ? roundTo(4 * chance(), 0.1) : null,
      severity: pick(SEVERITIES),
      moving: often(0.2),
      note: '',
    });
  }
  for (let n = 0; n < between(0, 3); n++)
    put('checks', { key: `tap/${n}`, found: often(0.3), takenAt: at(4), note: '' });

  putAir({ often, between, put, at });
  if (often(0.6))
    for (let n = 0; n < between(1, 4); n++) {
      const method = pick(DAMP_METHODS);
      const testId = put('dampTests', {
        method,
        name: `T${n + 1}`,
        ...place(),
        startedAt: often(0.8) ? at(-200) : null,
        depthMm: often(0.8) ? between(20, 80) : null,
        startG: method === 'dish' ? 30 : null,
        areaM2: method === 'dish' ? 0.045 : null,
        of: pick(['base', 'boards']),
        offsetPercent: 0,
        compensates: false,
        instrument: 'probe',
        checkedOn: '2026-02-01',
        note: '',
      });
      for (let r = 0; r < between(0, 4); r++)
        put('dampReadings', {
          testId,
          takenAt: at(-150 + 40 * r),
          value: method === 'dish' ? 32 : between(8, 95),
          sampleG: method === 'carbide' ? 20 : null,
          tempC: often(0.7) ? between(14, 22) : null,
          who: 'A',
          note: '',
        });
    }

  const bump = { x: between(300, wide), y: between(300, deep), mm: between(-9, 9), r: between(300, 900) };
  const floor = (x: number, y: number) =>
    bump.mm * Math.exp(-((x - bump.x) ** 2 + (y - bump.y) ** 2) / (2 * bump.r ** 2)) + (x * bump.mm) / 9000;
  if (often(0.85)) {
    const setupId = put('setups', {
      name: 'A',
      openRodMm: 1300,
      closeRodMm: often(0.7) ? 1300.4 : null,
      startedAt: at(0),
    });
    const step = between(450, 800);
    const keys: { stationKey: string; xMm: number; yMm: number; beforeMm: number; afterMm: number }[] = [];
    for (let x = 150; x < wide; x += step)
      for (let y = 150; y < deep; y += step) {
        if (walls.length > 4 && x > wide - notch.wide && y > deep - notch.deep) continue;
        const stationKey = `p${x}:${y}`;
        put('readings', {
          setupId,
          stationKey,
          xMm: x,
          yMm: y,
          rodMm: roundTo(1300 - floor(x, y) + 0.2 * normal(chance), 0.1),
          takenAt: at(0.01 * count),
          note: '',
        });
        keys.push({ stationKey, xMm: x, yMm: y, beforeMm: floor(x, y), afterMm: floor(x, y) / 2 });
      }
    if (often(0.3)) put('stations', { replacesKey: null, ...place(), dropped: false });
    if (often(0.3)) put('stations', { replacesKey: keys[0]!.stationKey, ...place(), dropped: true });
    if (often(0.15))
      put('works', {
        way: 'mixed',
        doneAt: at(5),
        product: 'Patch',
        batch: 'B1',
        bagsPlanned: 2,
        bagsUsed: 2,
        tempC: 18,
        rhPercent: 60,
        note: '',
        predicted: keys,
      });
  }
  if (often(0.3))
    for (let n = 0; n < 3; n++)
      put('edgeWalks', {
        fromXMm: 200,
        fromYMm: 300 + 400 * n,
        toXMm: 2000,
        toYMm: 300 + 400 * n,
        tool: pick(['straightedge', 'plank']),
        contactsMm: [0, 1800],
        gaps: [{ atMm: between(300, 1500), gapMm: roundTo(4 * chance(), 0.1) }],
        rocksMm: null,
        takenAt: at(1 + n),
        note: '',
      });
  if (often(0.12)) {
    const [nx, ny] = [Math.floor(wide / 50), Math.floor(deep / 50)];
    put('scans', {
      fileName: 'room.ply',
      points: 90_000,
      takenAt: at(2),
      cellMm: 50,
      nx,
      ny,
      x0Mm: 25,
      y0Mm: 25,
      heightsTenthMm: Array.from({ length: nx * ny }, (_, i) =>
        Math.round(10 * floor(25 + 50 * (i % nx), 25 + 50 * Math.floor(i / nx)) + 3 * normal(chance)),
      ),
      noiseMm: 0.3,
      turnDeg: 0,
      xMm: 25 + (50 * (nx - 1)) / 2,
      yMm: 25 + (50 * (ny - 1)) / 2,
      note: '',
    });
  }
  if (often(0.2))
    put('photos', { about: 'room', aboutId: roomId, xMm: null, yMm: null, takenAt: at(1), note: corners.length + '' });
  return facts;
}
