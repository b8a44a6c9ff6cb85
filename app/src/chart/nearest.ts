import { bisectCenter } from 'd3-array';

/** Which of some places, in order along a chart, lies nearest to one; null where there are none. */
export function nearest(places: readonly { at: number }[], at: number): number | null {
  return places.length === 0
    ? null
    : bisectCenter(
        places.map((place) => place.at),
        at,
      );
}
