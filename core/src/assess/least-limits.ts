import { ownLevels } from './least-places.ts';
import { fixtureOf, highestOf, readOf, sampleOf, type Side } from './least-side.ts';
import { beyondAt, placesAlong, placesAt, riseHeld, wallAbout, type HeightLimit } from '../heights/index.ts';
import { fixturePoint, type Opening, type PointMm } from '../room/index.ts';
import { placesAlongWall } from './at-wall.ts';
import { oldFloorAt, TODAY } from './old-layers.ts';

/** Levels of a room’s floor that must not be passed: under bays, sills and guards, beside stairs, and beneath closed fire leaves. */
export const limitsOf = (side: Side): HeightLimit[] => [
  ...baysOf(side),
  ...side.set.room.openings.flatMap((opening) => [
    ...sillOf(side, opening),
    ...stairOf(side, opening),
    ...fireGapOf(side, opening),
  ]),
  ...guardsOf(side),
];

/** What is highest decides: what is laid and what is poured comes up by as much everywhere. */
function under(side: Side, id: string, places: readonly PointMm[], mostMm: number): HeightLimit[] {
  const sample = highestOf(side, places);
  return sample ? [{ id, sample, leastMm: null, mostMm: mostMm + side.offsetMm }] : [];
}

/** Bays that an appliance has to fit: the floor in them and on their front edge may come so high. */
function baysOf(side: Side): HeightLimit[] {
  return side.set.appliances.flatMap(({ fixtureId, heightMm, airMm }): HeightLimit[] => {
    const fixture = fixtureOf(side, fixtureId);
    const undersides = readOf(side, 'underside', fixtureId);
    if (!fixture || undersides.length === 0) return [];
    const places = [-0.5, 0, 0.5].flatMap((across) =>
      [-0.5, 0, 0.5].map((deep) => fixturePoint(fixture, across * fixture.widthMm, deep * fixture.depthMm)),
    );
    return under(side, fixtureId, places, Math.min(...undersides) - heightMm - airMm);
  });
}

const along = ({ ground }: Side, opening: Opening): PointMm[] =>
  placesAt(ground.plan.corners, opening, placesAlong(opening.widthMm)).map(({ inside }) => inside);

/** An outside door’s floor stays under the water bar of its sill. */
function sillOf(side: Side, opening: Opening): HeightLimit[] {
  const sill = opening.beyond === 'outside' ? readOf(side, 'sill', opening.id).at(-1) : undefined;
  return sill === undefined ? [] : under(side, `sill/${opening.id}`, along(side, opening), sill);
}

/** Guards, rails and low sills keep what the code asks over the floor. */
function guardsOf(side: Side): HeightLimit[] {
  const { openings, walls } = side.set.room;
  const about = (id: string, places: () => readonly PointMm[]) => {
    const tops = readOf(side, 'guard', id);
    return tops.length === 0
      ? []
      : under(side, `guard/${id}`, places(), Math.min(...tops) - side.figure('guard-least-mm'));
  };
  return [
    ...openings.flatMap((opening) => about(opening.id, () => along(side, opening))),
    ...walls.flatMap(({ lengthMm }, wall) =>
      about(wallAbout(wall), () => placesAlongWall(side.ground.plan, wall, lengthMm)),
    ),
  ];
}

/** The floor beside a stair rises no more, and no less, than its code holds; where nothing holds it the stair stops the room by itself. */
function stairOf(side: Side, opening: Opening): HeightLimit[] {
  const { set, ground, floor, offsetMm, figure } = side;
  const flight = set.flights.findLast(({ openingId }) => openingId === opening.id);
  if (opening.kind !== 'stair' || !flight) return [];
  const held = riseHeld(flight.risersMm, flight, {
    rangeMm: figure('stair-range-mm'),
    mostRiserMm: figure('stair-most-mm'),
    leastRiserMm: figure('stair-least-mm'),
  });
  const at = placesAt(ground.plan.corners, opening, [opening.widthMm / 2])[0]!.inside;
  const [sample, surface] = [sampleOf(side, at), floor.surfaceAt(at)];
  if (!held || !sample || surface === null) return [];
  const todayMm = surface + oldFloorAt(set, ground.strip.plan, TODAY).lowerMm(at) + offsetMm;
  return [{ id: `stair/${opening.id}`, sample, leastMm: todayMm + held.leastMm, mostMm: todayMm + held.mostMm }];
}

/** A closed fire leaf keeps its gap: the floor under it may not lie lower, the bar’s cap counted and the floor as it is once lived on. */
function fireGapOf(side: Side, opening: Opening): HeightLimit[] {
  const { set, ground, floor, offsetMm, figure } = side;
  const leaf = set.leaves.findLast(({ openingId }) => openingId === opening.id);
  const read = readOf(side, 'leaf', opening.id);
  if (opening.kind !== 'door' || leaf?.kind !== 'fire' || read.length === 0) return [];
  const settlesMm = Math.max(0, floor.addsMm.new - floor.addsMm.used);
  const leastMm = Math.max(...read) - figure('leaf-fire-gap-mm') - figure('bar-cap-mm') + settlesMm + offsetMm;
  const stays = opening.sharedId === null ? ownLevels(side, opening) : [];
  return placesAt(ground.plan.corners, opening, [0, opening.widthMm / 2, opening.widthMm]).flatMap((place) => {
    const sample = sampleOf(side, place.inside);
    // The higher of both floors decides: where the one beyond stays and is high enough, this one is free.
    const beyond = beyondAt(stays, place.alongMm);
    return sample && (beyond === null || beyond + offsetMm < leastMm)
      ? [{ id: `fire/${opening.id}`, sample, leastMm, mostMm: null }]
      : [];
  });
}
