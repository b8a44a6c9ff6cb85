import 'reflect-metadata';
import { OLD_FLOORS } from '@maquette/core/coverings';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsObject,
  Matches,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { Write } from './write.ts';
import { Figure, Id, Moment, Words } from './decorators.ts';

const present = (_: object, value: unknown) => value !== null;

export class JobWrite extends Write {
  @Words(80) name!: string;
  @Words(200) about!: string;
  @Figure(-1e9, 1e9) rank!: number;
  /** Two capital letters, or null while unset: hazards by year depend on it. */
  @ValidateIf((job: JobWrite) => job.country !== null)
  @Matches(/^[A-Z]{2}$/, { message: 'takes two capital letters, such as GB, or null' })
  country!: string | null;
  @Words(8) currency!: string;
  @ValidateIf((job: JobWrite) => job.asbestosFrom !== null) @Figure(1900, 2100) asbestosFrom!: number | null;
  @ValidateIf((job: JobWrite) => job.leadFrom !== null) @Figure(1900, 2100) leadFrom!: number | null;
}

export class RuleDto {
  @Figure(0.2, 20) gapMm!: number;
  @Figure(150, 5000) edgeMm!: number;
}

export class CardWrite extends Write {
  @Words(80) name!: string;
  @IsIn(['click-vinyl', 'laminate', 'glue-down-vinyl', 'engineered-wood', 'click-herringbone'], {
    message: 'takes a kind of covering',
  })
  kind!: string;
  @Figure(1, 40) thicknessMm!: number;
  @IsBoolean({ message: 'takes true or false' }) attachedPad!: boolean;

  @IsArray({ message: 'takes a list of rules' })
  @ArrayMinSize(1, { message: 'takes 1 to 6 rules' })
  @ArrayMaxSize(6, { message: 'takes 1 to 6 rules' })
  @IsObject({ each: true, message: 'takes rules with gapMm and edgeMm' })
  @ValidateNested({ each: true })
  @Type(() => RuleDto)
  rules!: RuleDto[];

  @ValidateIf((card: CardWrite) => present(card, card.stepMm)) @Figure(0.1, 5) stepMm!: number | null;
  @Figure(30, 100) cementLimitRh!: number;
  @Figure(4, 25) timberLimitMc!: number;
  @Figure(0, 40) airMinC!: number;
  @Figure(0, 50) airMaxC!: number;
  @Figure(0, 100) airMinRh!: number;
  @Figure(0, 100) airMaxRh!: number;
  @Figure(0, 336) acclimatiseH!: number;
  @Figure(0, 40) perimeterGapMm!: number;
  @Figure(0, 300) lastRowMm!: number;
  @Figure(0, 1000) endPieceMm!: number;
  @Figure(0, 1000) staggerMm!: number;
  @ValidateIf((card: CardWrite) => present(card, card.longestRunM)) @Figure(2, 100) longestRunM!: number | null;
  @IsArray({ message: 'takes a list of old floors' })
  @IsIn(OLD_FLOORS, { each: true, message: `takes ${OLD_FLOORS.join(', ')}` })
  layOver!: string[];
  @Words(300) source!: string;
}

export class SetupWrite extends Write {
  @Words(40) name!: string;
  @ValidateIf((setup: SetupWrite) => present(setup, setup.openRodMm)) @Figure(0, 5000) openRodMm!: number | null;
  @ValidateIf((setup: SetupWrite) => present(setup, setup.closeRodMm)) @Figure(0, 5000) closeRodMm!: number | null;
  @Moment() startedAt!: string;
}

export class StationWrite extends Write {
  @ValidateIf((station: StationWrite) => present(station, station.replacesKey)) @Words(60) replacesKey!: string | null;
  @Figure(-100_000, 100_000) xMm!: number;
  @Figure(-100_000, 100_000) yMm!: number;
  @IsBoolean({ message: 'takes true or false' }) dropped!: boolean;
}

export class ReadingWrite extends Write {
  @Id() setupId!: string;
  @Words(60) stationKey!: string;
  @Figure(-100_000, 100_000) xMm!: number;
  @Figure(-100_000, 100_000) yMm!: number;
  @Figure(0, 5000) rodMm!: number;
  @Moment() takenAt!: string;
  @Words(500) note!: string;
}
