import { readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Faces of paper, as they lie in the packages they come with. */
const FILES = {
  text: 'barlow/400Regular/Barlow_400Regular.ttf',
  bold: 'barlow/600SemiBold/Barlow_600SemiBold.ttf',
  figure: 'barlow-semi-condensed/500Medium/BarlowSemiCondensed_500Medium.ttf',
  figureBold: 'barlow-semi-condensed/600SemiBold/BarlowSemiCondensed_600SemiBold.ttf',
} as const;
export type Face = keyof typeof FILES;
export const FACES = Object.keys(FILES) as Face[];

/** Where the packages of the product lie, from the folder it is started in. */
export const PACKAGES = 'node_modules';

const read = new Map<Face, Buffer>();

/** The file of a face, read once. */
export function faceOf(face: Face): Buffer {
  const kept = read.get(face) ?? readFileSync(join(PACKAGES, '@expo-google-fonts', FILES[face]));
  read.set(face, kept);
  return kept;
}

/** Sizes of paper, points. */
export const SIZE = { small: 8, table: 8.5, text: 10, lead: 14, heading: 12.5, title: 21, figure: 15 } as const;

/** Inks of paper: each text ink at least 4.5 to 1 on white. */
export const INK = {
  ink: '#1E2428',
  quiet: '#59636A',
  rule: '#CFC8BA',
  high: '#A8452E',
  low: '#1D6E78',
  good: '#44662B',
  none: '#FFFFFF',
} as const;
