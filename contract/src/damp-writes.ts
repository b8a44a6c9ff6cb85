import 'reflect-metadata';
import { IsBoolean, ValidateIf } from 'class-validator';
import { AIR_RANGES, LOG_SAMPLES_MOST } from '@maquette/core/air';
import { DAMP_METHODS, DAMP_RANGES } from '@maquette/core/damp';
import { MARK_KINDS, MARK_POINTS_MOST, MARK_RANGES, MARK_SHAPES, SEVERITIES } from '@maquette/core/soundness';
import { Figure, Id, Listed, Moment, OneOf, Words } from './decorators.ts';
import { Write } from './write.ts';

const PLACE_MM = 100_000;
const air = (name: keyof typeof AIR_RANGES) => Figure(AIR_RANGES[name].min, AIR_RANGES[name].max);
const damp = (name: keyof typeof DAMP_RANGES) => Figure(DAMP_RANGES[name].min, DAMP_RANGES[name].max);
const mark = (name: keyof typeof MARK_RANGES) => Figure(MARK_RANGES[name].min, MARK_RANGES[name].max);
const Given = (name: string) => ValidateIf((body: object) => (body as Record<string, unknown>)[name] !== null);

/** Air of the room, read once. */
export class AirReadingWrite extends Write {
  @Moment() takenAt!: string;
  @air('tempC') tempC!: number;
  @air('rhPercent') rhPercent!: number;
  @Given('surfaceC') @air('surfaceC') surfaceC!: number | null;
  @Words(80) instrument!: string;
  @Words(80) who!: string;
  @Words(500) note!: string;
}

export class AirSampleDto {
  @Moment() at!: string;
  @air('tempC') tempC!: number;
  @air('rhPercent') rhPercent!: number;
}

/** What a logger recorded, whole. */
export class AirLogWrite extends Write {
  @Words(80) name!: string;
  @Words(80) instrument!: string;
  @Listed(() => AirSampleDto, 'samples', LOG_SAMPLES_MOST, 1) samples!: AirSampleDto[];
  @Words(500) note!: string;
}

/** A test of damp at a place, from the moment it is set. */
export class DampTestWrite extends Write {
  @OneOf(DAMP_METHODS) method!: string;
  @Words(40) name!: string;
  @Figure(-PLACE_MM, PLACE_MM) xMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) yMm!: number;
  @Given('startedAt') @Moment() startedAt!: string | null;
  @Given('depthMm') @damp('depthMm') depthMm!: number | null;
  @Given('startG') @damp('startG') startG!: number | null;
  @Given('areaM2') @damp('areaM2') areaM2!: number | null;
  @OneOf(['base', 'boards']) of!: string;
  @damp('offsetPercent') offsetPercent!: number;
  @IsBoolean({ message: 'takes true or false' }) compensates!: boolean;
  @Words(80) instrument!: string;
  @Words(40) checkedOn!: string;
  @Words(500) note!: string;
}

/** One reading of a test, as the instrument showed it. */
export class DampReadingWrite extends Write {
  @Id() testId!: string;
  @Moment() takenAt!: string;
  @damp('value') value!: number;
  @Given('sampleG') @damp('sampleG') sampleG!: number | null;
  @Given('tempC') @damp('tempC') tempC!: number | null;
  @Words(80) who!: string;
  @Words(500) note!: string;
}

export class PlaceDto {
  @Figure(-PLACE_MM, PLACE_MM) xMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) yMm!: number;
}

/** Damage found, as a point, line or area. */
export class MarkWrite extends Write {
  @OneOf(MARK_KINDS) kind!: string;
  @Figure(-PLACE_MM, PLACE_MM) xMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) yMm!: number;
  @OneOf(MARK_SHAPES) shape!: string;
  @Listed(() => PlaceDto, 'corners', MARK_POINTS_MOST) points!: PlaceDto[];
  @Given('sizeMm') @mark('sizeMm') sizeMm!: number | null;
  @Given('depthMm') @mark('depthMm') depthMm!: number | null;
  @Given('stepMm') @mark('stepMm') stepMm!: number | null;
  @Given('moveMm') @mark('moveMm') moveMm!: number | null;
  @OneOf(SEVERITIES) severity!: string;
  @IsBoolean({ message: 'takes true or false' }) moving!: boolean;
  @Words(500) note!: string;
}

/** A line or spot of the guided walk, gone over. */
export class CheckWrite extends Write {
  @Words(60) key!: string;
  @IsBoolean({ message: 'takes true or false' }) found!: boolean;
  @Moment() takenAt!: string;
  @Words(500) note!: string;
}
