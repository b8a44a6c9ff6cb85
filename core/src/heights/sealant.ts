import type { Opening } from '../room/index.ts';

/** A foot of a frame is sealed round over so much, mm. */
const FOOT_MM = 150;

/** Sealant for a room, mm: along the sills of outside doors, and round the feet of frames that planks are scribed to instead of sawing. */
export const sealantMm = (openings: readonly Pick<Opening, 'beyond' | 'widthMm'>[], scribedFeet: number): number =>
  openings.reduce((sum, { beyond, widthMm }) => (beyond === 'outside' ? sum + widthMm : sum), FOOT_MM * scribedFeet);
