import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  ArrayMinSize,
  IsArray,
  IsBoolean,
  IsIn,
  IsInt,
  IsObject,
  IsOptional,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { Figure, Id, Moment, Words } from './decorators.ts';

/** What every write carries: the version it was made on, its own id so that sending twice counts once, and the mark of deletion. */
export class Write {
  @IsInt({ message: 'takes a whole number' })
  @Min(0, { message: 'takes 0 or more' })
  baseVersion!: number;

  @Id()
  writeId!: string;

  @IsBoolean({ message: 'takes true or false' })
  deleted!: boolean;
}

const present = (_: object, value: unknown) => value !== null;

export class JobWrite extends Write {
  @Words(80) name!: string;
  @Words(200) about!: string;
  @Figure(-1e9, 1e9) rank!: number;
}

export class WallDto {
  @Figure(20, 60_000) lengthMm!: number;
  @Figure(-179, 179) turnDeg!: number;
  @IsOptional() @Words(40) name?: string;
}

export class DoorDto {
  @IsInt({ message: 'takes a whole number' }) @Figure(0, 59) wall!: number;
  @Figure(0, 60_000) fromMm!: number;
  @Figure(300, 6000) widthMm!: number;
  @IsIn(['start', 'end'], { message: 'takes start or end' }) hinge!: 'start' | 'end';
  @IsIn(['in', 'out'], { message: 'takes in or out' }) swing!: 'in' | 'out';
}

const BASES = [
  'slab-on-ground',
  'suspended-concrete',
  'cement-screed',
  'calcium-sulfate-screed',
  'panels-on-joists',
  'floorboards-on-joists',
  'existing-tile',
  'existing-resilient',
];

export class RoomWrite extends Write {
  @Id() jobId!: string;
  @Words(80) name!: string;
  @Figure(-1e9, 1e9) rank!: number;

  @IsArray({ message: 'takes a list of walls' })
  @ArrayMinSize(3, { message: 'takes 3 to 60 walls' })
  @ArrayMaxSize(60, { message: 'takes 3 to 60 walls' })
  @IsObject({ each: true, message: 'takes walls with lengthMm and turnDeg' })
  @ValidateNested({ each: true })
  @Type(() => WallDto)
  walls!: WallDto[];

  @ValidateIf((room: RoomWrite) => room.door !== null)
  @IsObject({ message: 'takes a door or null' })
  @ValidateNested()
  @Type(() => DoorDto)
  door!: DoorDto | null;

  @IsIn(BASES, { message: `takes one of ${BASES.join(', ')}` }) baseKind!: string;
  @Id() cardId!: string;
  @IsIn(['metric', 'imperial'], { message: 'takes metric or imperial' }) units!: 'metric' | 'imperial';
  @ValidateIf((room: RoomWrite) => present(room, room.spacingMm)) @Figure(150, 2000) spacingMm!: number | null;
  @IsBoolean({ message: 'takes true or false' }) contactsOnly!: boolean;
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
