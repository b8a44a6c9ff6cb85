import 'reflect-metadata';
import { Type } from 'class-transformer';
import { IsBoolean, IsInt, IsObject, IsOptional, ValidateIf, ValidateNested } from 'class-validator';
import {
  BASE_KINDS,
  BASE_RANGES,
  BENEATH_KINDS,
  BEYOND_KINDS,
  FIXTURE_KINDS,
  FIXTURE_MM,
  GRADES,
  HEATINGS,
  OPENING_KINDS,
  OPENING_MM,
} from '@maquette/core/room';
import { Figure, Id, Listed, OneOf, Words } from './decorators.ts';
import { Write } from './write.ts';

/** Any place on the sheet, mm. */
const PLACE_MM = 100_000;

export class WallDto {
  @Figure(20, 60_000) lengthMm!: number;
  @Figure(-179, 179) turnDeg!: number;
  @IsOptional() @Words(40) name?: string;
  @IsOptional() @IsBoolean({ message: 'takes true or false' }) drawn?: boolean;
}

export class StartDto {
  @Figure(-PLACE_MM, PLACE_MM) xMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) yMm!: number;
  @Figure(-360, 360) headingDeg!: number;
}

export class DiagonalDto {
  @IsInt({ message: 'takes a whole number' }) @Figure(0, 59) from!: number;
  @IsInt({ message: 'takes a whole number' }) @Figure(0, 59) to!: number;
  @Figure(100, 90_000) lengthMm!: number;
}

export class OpeningDto {
  @Id() id!: string;
  @OneOf(OPENING_KINDS) kind!: string;
  @IsInt({ message: 'takes a whole number' }) @Figure(0, 59) wall!: number;
  @Figure(0, 60_000) fromMm!: number;
  @Figure(OPENING_MM.width.min, OPENING_MM.width.max) widthMm!: number;
  @OneOf(['start', 'end']) hinge!: string;
  @OneOf(['in', 'out']) swing!: string;
  @OneOf(BEYOND_KINDS) beyond!: string;
  @ValidateIf((o: OpeningDto) => o.beyondLevelMm !== null)
  @Figure(OPENING_MM.level.min, OPENING_MM.level.max)
  beyondLevelMm!: number | null;
  @ValidateIf((o: OpeningDto) => o.sharedId !== null) @Id() sharedId!: string | null;
}

export class FixtureDto {
  @Id() id!: string;
  @OneOf(FIXTURE_KINDS) kind!: string;
  @Words(60) name!: string;
  @Figure(-PLACE_MM, PLACE_MM) xMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) yMm!: number;
  @Figure(FIXTURE_MM.size.min, FIXTURE_MM.size.max) widthMm!: number;
  @Figure(FIXTURE_MM.size.min, FIXTURE_MM.size.max) depthMm!: number;
  @Figure(-360, 360) turnDeg!: number;
  @IsBoolean({ message: 'takes true or false' }) round!: boolean;
  @ValidateIf((f: FixtureDto) => f.heightMm !== null)
  @Figure(FIXTURE_MM.height.min, FIXTURE_MM.height.max)
  heightMm!: number | null;
  @ValidateIf((f: FixtureDto) => f.toeKickMm !== null)
  @Figure(FIXTURE_MM.toeKick.min, FIXTURE_MM.toeKick.max)
  toeKickMm!: number | null;
}

export class LineDto {
  @Id() id!: string;
  @Words(40) name!: string;
  @Figure(-PLACE_MM, PLACE_MM) axMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) ayMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) bxMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) byMm!: number;
}

/** One side of a dividing line. */
export class SideDto {
  @Id() lineId!: string;
  @OneOf(['left', 'right']) side!: string;
}

function Known(name: keyof typeof BASE_RANGES): PropertyDecorator {
  const { min, max } = BASE_RANGES[name];
  const figure = Figure(min, max);
  const unless = ValidateIf((base: Record<string, unknown>) => base[name] !== null);
  return (target, key) => {
    unless(target, key);
    figure(target, key);
  };
}

export class BaseDto {
  @Known('slabMm') slabMm!: number | null;
  @OneOf(BENEATH_KINDS) beneath!: string;
  @OneOf(GRADES) grade!: string;
  @OneOf(HEATINGS) heating!: string;
  @Known('heatingDepthMm') heatingDepthMm!: number | null;
  @Known('joistDeg') joistDeg!: number | null;
  @Known('joistSpacingMm') joistSpacingMm!: number | null;
  @Known('panelLongMm') panelLongMm!: number | null;
  @Known('panelShortMm') panelShortMm!: number | null;
  @Known('seamXMm') seamXMm!: number | null;
  @Known('seamYMm') seamYMm!: number | null;
}

export class SecondBaseDto extends BaseDto {
  @OneOf(BASE_KINDS) kind!: string;
  @Listed(() => SideDto, 'sides of lines', 8, 1) where!: SideDto[];
}

export class RoomWrite extends Write {
  @Id() jobId!: string;
  @Words(80) name!: string;
  @Figure(-1e9, 1e9) rank!: number;
  @Listed(() => WallDto, 'walls', 60, 3, 'lengthMm and turnDeg') walls!: WallDto[];
  @IsObject({ message: 'takes xMm, yMm and headingDeg' })
  @ValidateNested()
  @Type(() => StartDto)
  start!: StartDto;
  @Listed(() => DiagonalDto, 'diagonals', 40) diagonals!: DiagonalDto[];
  @Listed(() => OpeningDto, 'openings', 40) openings!: OpeningDto[];
  @Listed(() => FixtureDto, 'fixtures', 100) fixtures!: FixtureDto[];
  @Listed(() => LineDto, 'lines', 8) lines!: LineDto[];
  @OneOf(BASE_KINDS) baseKind!: string;
  @IsObject({ message: 'takes the details of a base' })
  @ValidateNested()
  @Type(() => BaseDto)
  base!: BaseDto;
  @ValidateIf((room: RoomWrite) => room.secondBase !== null)
  @IsObject({ message: 'takes a base or null' })
  @ValidateNested()
  @Type(() => SecondBaseDto)
  secondBase!: SecondBaseDto | null;
  @Id() cardId!: string;
  @OneOf(['metric', 'imperial']) units!: 'metric' | 'imperial';
  @ValidateIf((room: RoomWrite) => room.spacingMm !== null) @Figure(150, 2000) spacingMm!: number | null;
  @IsBoolean({ message: 'takes true or false' }) contactsOnly!: boolean;
}
