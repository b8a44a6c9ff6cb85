import type { AnswerValue, Question } from '@maquette/core/fields';
import type { LeafFact, LevelOf } from '@maquette/core/heights';
import type { Layer, Sample } from '@maquette/core/layers';
import type { BaseDetails, BaseKind, DividingLine, Fixture, Opening, Wall } from '@maquette/core/room';
import type { Mark } from '@maquette/core/soundness';
import type { Choice } from '@maquette/core/stripout';
import type { BoxCheck, PlankBoxes, SetOut } from '@maquette/core/setout';
import type { UnderChoice } from '@maquette/core/under';

/** A smooth bump or hollow: height in mm at its middle, and its half width. */
interface Bump {
  xMm: number;
  yMm: number;
  heightMm: number;
  widthMm: number;
}

/** A room of the demo with the floor it really has, which readings are then taken from. */
export interface DemoRoom {
  slug: string;
  name: string;
  walls: Wall[];
  openings: Partial<Opening>[];
  fixtures?: Partial<Fixture>[];
  lines?: DividingLine[];
  base?: Partial<BaseDetails>;
  layers?: (Pick<Layer, 'id' | 'kind'> & Partial<Layer>)[];
  samples?: Omit<Sample, 'where' | 'note'>[];
  answers?: [question: Question, answer: AnswerValue][];
  layerChoices?: { layerId: string; choice: Choice }[];
  marks?: Omit<Mark, 'id'>[];
  /** Layers whose strip-out steps are done. */
  ticked?: string[];
  /** Share of taps that sounded hollow, by layer. */
  tapped?: { layerId: string; hollowAt: [number, number][]; upTo: number }[];
  baseKind: BaseKind;
  cardId: string;
  units: 'metric' | 'imperial';
  bumps: Bump[];
  /** Fall of the whole floor, mm for each m in x and y. */
  fall: [number, number];
  /** A low that was there the day before, and has been filled since. */
  levelled?: { low: Bump; product: string; batch: string; bagsPlanned: number; bagsUsed: number };
  /** It was scanned: noise of a cell, how far the scanner drifted over the room, and a chest that hid some floor. */
  scan?: { noiseMm: number; driftMm: number; turnDeg: number; chest: { xMm: number; yMm: number; sideMm: number } };
  /** Edges laid to break its verdict: from, to, and the largest gap with its place along the edge, mm. */
  tried?: { from: [number, number]; to: [number, number]; atMm: number; gapMm: number }[];
  /** Levels read: by staff from the first set-up over the room's datum, or taped over what lies there, on so much old floor. */
  levels?: ({ of: LevelOf; about: string; alongMm: number } & (
    { levelMm: number } | { overMm: number; lyingMm: number }
  ))[];
  leaves?: ({ about: string } & Partial<Omit<LeafFact, 'id' | 'openingId'>>)[];
  appliances?: { about: string; heightMm: number }[];
  flights?: { about: string; risersMm: number[]; leads: 'down' | 'up'; otherMm: number }[];
  /** What was chosen to lie under its planks. */
  under?: Partial<Omit<UnderChoice, 'id'>>;
  /** Flow of each day on which it was heated up before laying, °C, and the surface it came to. */
  heated?: [flowC: number, surfaceC: number][];
  /** How its planks are set out, what boxes lie there since so many days, and how much of it lies already. */
  lay?: {
    setOut?: Partial<Omit<SetOut, 'id'>>;
    boxes?: (Pick<PlankBoxes, 'batch' | 'boxes' | 'planksEach'> & { daysAgo: number })[];
    check?: Pick<BoxCheck, 'batch' | 'prints'>;
    /** Rows that lie, and by how much the last piece of the next one was found shorter, mm. */
    rows?: { laid: number; shorterMm: number };
    /** Zones whose patch test held, with the minutes until it was tacky. */
    glueHeld?: [zone: string, tackMin: number][];
  };
  /** Share of the walk that has been read. */
  readShare: number;
  setups: { name: string; fromShare: number; benchMm: number; closingMm: number | null }[];
}
