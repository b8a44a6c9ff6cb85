import { damp } from './damp.ts';
import { figures } from './figures.ts';
import { flat } from './flat.ts';
import { hazards } from './hazards.ts';
import { heights } from './heights.ts';
import { layers } from './layers.ts';
import { levelling } from './levelling.ts';
import { scan } from './scan.ts';
import { setout } from './setout.ts';
import { soundness } from './soundness.ts';
import { stripout } from './stripout.ts';
import { under } from './under.ts';
import { verdict } from './verdict.ts';

/** What the stages of a room say: most of the catalogue, which the first screen does without. */
export const rest = {
  ...damp,
  ...figures,
  ...flat,
  ...hazards,
  ...heights,
  ...layers,
  ...levelling,
  ...scan,
  ...setout,
  ...soundness,
  ...stripout,
  ...under,
  ...verdict,
};
