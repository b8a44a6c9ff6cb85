import { say, type Said } from '../said/index.ts';
import { areaM2, contains, perimeterMm, type Polygon } from '../room/index.ts';
import type { FileOutline } from './outline-drawn.ts';

/** Layers and kinds that are named after rooms or their walls. */
const OF_ROOMS = /room|wall|outline|space|floor|boundary|area/i;
/** An outline that is mostly narrower, mm, is a wall with its thickness drawn. */
const NARROW_MM = 250;
/** An outline whose inside is taken up to this share by others goes round a storey; less, and they are pillars in it. */
const STOREY_SHARE = 0.5;

/**
 * Which outlines of a file are likely rooms: those on layers named so, where there are any; drawn outlines before such as single lines
 * close; rooms and not the storey round them, nor the pillars in them. Nothing is left out by it: what is not ticked can be.
 */
export function tickedOf(
  outlines: readonly { outline: FileOutline; corners: Polygon }[],
): { ticked: boolean; doubt: Said | null }[] {
  const named = ({ outline }: { outline: FileOutline }) => outline.layer !== null && OF_ROOMS.test(outline.layer);
  const anyNamed = outlines.some(named);
  const anyDrawn = outlines.some(({ outline }) => !outline.ofLines);
  const sized = outlines.map((one) => ({ ...one, areaM2: areaM2(one.corners) }));
  const within = (inner: (typeof sized)[number], outer: (typeof sized)[number]) =>
    inner !== outer &&
    inner.areaM2 < outer.areaM2 &&
    inner.corners.every(({ xMm, yMm }) => contains(outer.corners, xMm, yMm));
  const likely = sized.map((one) => (!anyNamed || named(one)) && !(anyDrawn && !anyNamed && one.outline.ofLines));
  const inside = (outer: (typeof sized)[number]) => sized.filter((one, i) => likely[i] && within(one, outer));
  const goesRound = (outer: (typeof sized)[number]) =>
    inside(outer).reduce((sum, one) => sum + one.areaM2, 0) >= STOREY_SHARE * outer.areaM2;
  return sized.map((one, i) => {
    // Walls of a table lie nowhere, each room by itself.
    if ('walls' in one.outline.shape) return { ticked: true, doubt: null };
    if (!likely[i])
      return {
        ticked: false,
        doubt:
          one.outline.ofLines && !anyNamed
            ? say('formats.onlyLinesCloseIt')
            : say('formats.layerOfNoRooms', { layer: one.outline.layer ?? '0' }),
      };
    if ((2e6 * one.areaM2) / perimeterMm(one.corners) < NARROW_MM)
      return { ticked: false, doubt: say('formats.narrowAsAWall') };
    if (goesRound(one)) return { ticked: false, doubt: say('formats.goesRoundRooms') };
    const around = sized.find((outer, k) => likely[k] && within(one, outer) && !goesRound(outer));
    return around ? { ticked: false, doubt: say('formats.liesInARoom') } : { ticked: true, doubt: null };
  });
}
