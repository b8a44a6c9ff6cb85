import { cutPart, type CutLine, type Region } from '../room/index.ts';

/** What of a region lies between two parallel lines, part by part. */
export function band(region: Region, line: (mm: number) => CutLine, lowMm: number, highMm: number): Region {
  const over = region.flatMap((part) => cutPart(part, line(lowMm)).high);
  return over.flatMap((part) => cutPart(part, line(highMm)).low);
}
