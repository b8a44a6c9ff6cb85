import { units } from './units.ts';
import { formats } from './formats.ts';
import { said } from './said.ts';
import { asked } from './asked.ts';
import { air } from './air.ts';
import { coverings } from './coverings.ts';
import { damp } from './damp.ts';
import { figures } from './figures.ts';
import { flat } from './flat.ts';
import { hazards } from './hazards.ts';
import { layers } from './layers.ts';
import { levelling } from './levelling.ts';
import { room } from './room.ts';
import { scan } from './scan.ts';
import { soundness } from './soundness.ts';
import { stripout } from './stripout.ts';
import { verdict } from './verdict.ts';

/** Every sentence in English, by its code. */
export const english = {
  ...units,
  ...formats,
  ...said,
  ...asked,
  ...air,
  ...coverings,
  ...damp,
  ...figures,
  ...flat,
  ...hazards,
  ...layers,
  ...levelling,
  ...room,
  ...scan,
  ...soundness,
  ...stripout,
  ...verdict,
};
