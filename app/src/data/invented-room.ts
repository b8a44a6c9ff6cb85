import { stationsOf, type EdgeWalk, type FlatFacts } from '@maquette/core/flat';
import { BLANK_SHAPE, planOf, rectangleWalls, type RoomFacts } from '@maquette/core/room';

/** A room for tests: a slab of 3 by 2.4 m with nothing entered but its walls. */
export const INVENTED_ROOM: RoomFacts = {
  id: 'room',
  jobId: 'job',
  name: 'Room',
  rank: 0,
  walls: rectangleWalls(3000, 2400),
  ...BLANK_SHAPE,
  baseKind: 'slab-on-ground',
  cardId: 'shipped-click-vinyl',
  units: 'metric',
  spacingMm: null,
  contactsOnly: false,
};

/** That room read at its stations, with a dip of so many mm in its middle. */
export function inventedDip(depthMm: number): FlatFacts {
  const stations = stationsOf(planOf(INVENTED_ROOM), 600, [], [], { xMm: 0, yMm: 0 });
  return {
    setups: [{ id: 'A', name: 'A', openRodMm: 1000, closeRodMm: 1000.3, startedAt: '0' }],
    stations: [],
    readings: stations.map((s, i) => ({
      id: `r${i}`,
      setupId: 'A',
      stationKey: s.key,
      xMm: s.xMm,
      yMm: s.yMm,
      rodMm: 1000 + depthMm * Math.exp(-((s.xMm - 1500) ** 2 + (s.yMm - 1200) ** 2) / 3e5),
      takenAt: String(i).padStart(3, '0'),
      note: '',
    })),
  };
}

/** Three edges laid in it to break its verdict, which held at 0.2 mm. */
export const HELD_EDGES: EdgeWalk[] = [500, 1200, 1900].map((yMm, i) => ({
  id: `held${i}`,
  fromXMm: 400,
  fromYMm: yMm,
  toXMm: 2400,
  toYMm: yMm,
  tool: 'straightedge',
  contactsMm: [0, 2000],
  gaps: [{ atMm: 1000, gapMm: 0.2 }],
  rocksMm: null,
  takenAt: '9',
  note: '',
  asked: true,
}));
