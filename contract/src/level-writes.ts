import 'reflect-metadata';
import { ArrayMaxSize, ArrayMinSize, IsArray, ValidateIf } from 'class-validator';
import { EDGE_GAPS_MOST, EDGE_RANGES, EDGE_TOOLS, WAY_IDS, WORK_RANGES, WORK_STATIONS_MOST } from '@maquette/core/flat';
import { EachFigure, Figure, Listed, Moment, OneOf, Words } from './decorators.ts';
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

const along = () => Figure(0, EDGE_RANGES.lengthMm.max);

export class EdgeGapDto {
  @along() atMm!: number;
  @Figure(EDGE_RANGES.gapMm.min, EDGE_RANGES.gapMm.max) gapMm!: number;
}

const contacts = { message: 'takes 1 or 2 contacts' };

/** One placement of a straightedge, as laid and read. */
export class EdgeWalkWrite extends Write {
  @Figure(-PLACE_MM, PLACE_MM) fromXMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) fromYMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) toXMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) toYMm!: number;
  @OneOf(EDGE_TOOLS) tool!: string;
  @IsArray({ message: 'takes a list of contacts' })
  @ArrayMinSize(1, contacts)
  @ArrayMaxSize(2, contacts)
  @EachFigure(0, EDGE_RANGES.lengthMm.max)
  contactsMm!: number[];
  @Listed(() => EdgeGapDto, 'gaps', EDGE_GAPS_MOST) gaps!: EdgeGapDto[];
  @ValidateIf((w: EdgeWalkWrite) => w.rocksMm !== null)
  @Figure(EDGE_RANGES.gapMm.min, EDGE_RANGES.gapMm.max)
  rocksMm!: number | null;
  @Moment() takenAt!: string;
  @Words(500) note!: string;
}
