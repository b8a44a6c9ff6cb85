import type { AllRoomFacts, RoomPicture } from '@maquette/core';
import type { CoveringCard } from '@maquette/core/coverings';
import type { DryingForecast, ProbeSeries } from '@maquette/core/damp';
import type { DryingPlan } from '@maquette/core/drying';
import type { SchoolResult } from '@maquette/core/flat';
import type { LevellingPlan } from '@maquette/core/levelling';

/** A forecast asked for: which probe, to which limit, under which air. */
export interface ForecastAsk {
  probe: ProbeSeries;
  limitPercent: number;
  plan: DryingPlan;
}

interface RoomAsk {
  id: number;
  kind: 'judge' | 'schools' | 'plan';
  facts: AllRoomFacts;
  card: CoveringCard;
  atUtc: string;
}

/** What the screen asks of the worker. */
export type Ask = RoomAsk | { id: number; kind: 'forecast'; forecast: ForecastAsk };

export interface Answers {
  judge: RoomPicture;
  schools: SchoolResult[];
  plan: LevellingPlan | null;
  forecast: DryingForecast;
}

/** What comes back: how far it is, an answer, or why there is none. */
export type Told =
  | { id: number; ok: true; answer: Answers[Ask['kind']]; tookMs: number }
  | { id: number; ok: false; reason: string }
  | { id: number; progress: number };
