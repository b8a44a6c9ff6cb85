import 'reflect-metadata';
import { ValidateIf } from 'class-validator';
import { WAY_IDS, WORK_RANGES, WORK_STATIONS_MOST } from '@maquette/core/flat';
import { Figure, Listed, Moment, OneOf, Words } from './decorators.ts';
import { Write } from './write.ts';

const PLACE_MM = 100_000;
const HEIGHT_MM = 10_000;
const { bags, tempC, rhPercent } = WORK_RANGES;

export class PredictedStationDto {
  @Words(60) stationKey!: string;
  @Figure(-PLACE_MM, PLACE_MM) xMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) yMm!: number;
  @Figure(-HEIGHT_MM, HEIGHT_MM) beforeMm!: number;
  @Figure(-HEIGHT_MM, HEIGHT_MM) afterMm!: number;
}

/** Levelling that was done. */
export class WorkWrite extends Write {
  @OneOf(WAY_IDS) way!: string;
  @Moment() doneAt!: string;
  @Words(80) product!: string;
  @Words(60) batch!: string;
  @Figure(bags.min, bags.max) bagsPlanned!: number;
  @ValidateIf((w: WorkWrite) => w.bagsUsed !== null) @Figure(bags.min, bags.max) bagsUsed!: number | null;
  @ValidateIf((w: WorkWrite) => w.tempC !== null) @Figure(tempC.min, tempC.max) tempC!: number | null;
  @ValidateIf((w: WorkWrite) => w.rhPercent !== null) @Figure(rhPercent.min, rhPercent.max) rhPercent!: number | null;
  @Words(500) note!: string;
  @Listed(() => PredictedStationDto, 'stations', WORK_STATIONS_MOST) predicted!: PredictedStationDto[];
}
