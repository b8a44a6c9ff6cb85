import type { Patch } from '../levelling/index.ts';
import { certificateLine, type LevelSheet, type Written } from './level-sheet.ts';

interface Feature {
  type: 'Feature';
  properties: Record<string, string | number>;
  geometry: { type: 'Polygon' | 'MultiPolygon' | 'Point'; coordinates: unknown };
}

/**
 * The level map and the work on it as GeoJSON-style features in local millimetres (no reference system: x along the first wall,
 * y into the room). Each feature says by `kind` what it is: room, contour, fill, grind, bay or chalk.
 */
export function levelJson(sheet: LevelSheet, written: Written): string {
  const features: Feature[] = [
    polygon({ kind: 'room', name: sheet.title }, [
      sheet.plan.corners.map((p) => [p.xMm, p.yMm] as const),
      ...sheet.plan.islands.map((island) => island.map((p) => [p.xMm, p.yMm] as const)),
    ]),
    ...[...(sheet.map?.highs ?? []), ...(sheet.map?.lows ?? [])].map((band) =>
      many({ kind: 'contour', level_mm: band.levelMm }, band.rings),
    ),
    ...sheet.fills.map((area) => many({ kind: 'fill', ...amounts(area) }, area.outlines)),
    ...sheet.grinding.map((area) => many({ kind: 'grind', ...amounts(area) }, area.outlines)),
    ...sheet.bays.map((bay) =>
      many(
        {
          kind: 'bay',
          number: bay.number,
          bags: bay.bags,
          area_m2: round(bay.areaM2, 3),
          volume_l: round(bay.volumeL, 2),
        },
        bay.region.flat(),
      ),
    ),
    ...sheet.chalk.map((point): Feature => ({
      type: 'Feature',
      properties: {
        kind: 'chalk',
        label: point.label,
        number: point.number,
        ...Object.fromEntries(
          point.tapes.flatMap((tape, i) => [
            [`tape_${i + 1}_from`, tape.name],
            [`tape_${i + 1}_mm`, round(tape.distanceMm, 0)],
          ]),
        ),
      },
      geometry: { type: 'Point', coordinates: [point.at.xMm, point.at.yMm] },
    })),
  ];
  const certificates = sheet.certificates.map((one) => written(certificateLine(one)));
  return `${JSON.stringify({ type: 'FeatureCollection', units: 'mm', title: sheet.title, certificates, features }, null, 1)}\n`;
}

function amounts(area: Patch) {
  return {
    label: area.label,
    area_m2: round(area.areaM2, 3),
    volume_l: round(area.volumeL, 3),
    mean_mm: round(area.meanMm, 2),
    deepest_mm: round(area.deepestMm, 2),
  };
}

type Ring = readonly (readonly [number, number])[];

const polygon = (properties: Feature['properties'], rings: readonly Ring[]): Feature => ({
  type: 'Feature',
  properties,
  geometry: { type: 'Polygon', coordinates: rings.map(shut) },
});

/** Rings side by side, each its own polygon: outlines are drawn with the even-odd rule and are not sorted into holes. */
const many = (properties: Feature['properties'], rings: readonly Ring[]): Feature => ({
  type: 'Feature',
  properties,
  geometry: { type: 'MultiPolygon', coordinates: rings.map((ring) => [shut(ring)]) },
});

/** A ring whose last point is its first, as readers expect, to the tenth of a millimetre. */
function shut(ring: Ring): [number, number][] {
  const points = ring.map(([x, y]): [number, number] => [round(x, 1), round(y, 1)]);
  const [first, last] = [points[0], points.at(-1)];
  return first && last && (first[0] !== last[0] || first[1] !== last[1]) ? [...points, first] : points;
}

const round = (value: number, places: number) => Number(value.toFixed(places));
