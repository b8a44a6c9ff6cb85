import 'reflect-metadata';
import { IsInt, ValidateIf } from 'class-validator';
import { CONDITIONS, FIXINGS, LAYER_KINDS, LAYER_RANGES, PARTS } from '@maquette/core/layers';
import { Figure, Id, Listed, Moment, OneOf, Words } from './decorators.ts';
import { SideDto } from './room-write.ts';
import { Write } from './write.ts';

const PLACE_MM = 100_000;

export class SeamDto {
  @Figure(-PLACE_MM, PLACE_MM) axMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) ayMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) bxMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) byMm!: number;
}

const range = (name: keyof typeof LAYER_RANGES) => Figure(LAYER_RANGES[name].min, LAYER_RANGES[name].max);

/** One layer that lies there. */
export class LayerWrite extends Write {
  @OneOf(LAYER_KINDS) kind!: string;
  @Figure(-1e9, 1e9) rank!: number;
  @range('thicknessMm') thicknessMm!: number;
  @OneOf(FIXINGS) fixing!: string;
  @ValidateIf((l: LayerWrite) => l.year !== null)
  @IsInt({ message: 'takes a whole year' })
  @range('year')
  year!: number | null;
  @OneOf(['layer', 'building', 'unknown']) yearOf!: string;
  @OneOf(CONDITIONS) condition!: string;
  @Listed(() => SideDto, 'sides of lines', 8) where!: SideDto[];
  @Listed(() => SeamDto, 'seams', 60) seams!: SeamDto[];
  @ValidateIf((l: LayerWrite) => l.groutMm !== null) @range('groutMm') groutMm!: number | null;
  @ValidateIf((l: LayerWrite) => l.groutDepthMm !== null) @range('groutDepthMm') groutDepthMm!: number | null;
  @ValidateIf((l: LayerWrite) => l.lippageMm !== null) @range('lippageMm') lippageMm!: number | null;
  @OneOf(['survey', 'strip-out']) foundAt!: string;
  @Words(500) note!: string;
}

/** A laboratory's answer for one material of one layer (`trim` for painted trim) in one area. */
export class SampleWrite extends Write {
  @Id() layerId!: string;
  @OneOf(PARTS) part!: string;
  @Listed(() => SideDto, 'sides of lines', 8) where!: SideDto[];
  @Words(60) sampleNo!: string;
  @Words(80) laboratory!: string;
  @Moment() resultOn!: string;
  @OneOf(['negative', 'positive']) result!: string;
  @Words(500) note!: string;
}

export class TapWrite extends Write {
  @Id() layerId!: string;
  @Figure(-PLACE_MM, PLACE_MM) xMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) yMm!: number;
  @OneOf(['sound', 'hollow']) sound!: string;
}

/** A choice, a school, a hazard seen: one answer to one topic, with its reason. */
export class AnswerWrite extends Write {
  @Words(120) topic!: string;
  @Words(200) value!: string;
  @Words(500) note!: string;
}

export class TickWrite extends Write {
  @Words(200) key!: string;
  @Moment() doneAt!: string;
  @Words(500) note!: string;
}

/** What a photograph is of and where it was taken; the picture itself is sent apart. */
export class PhotoWrite extends Write {
  @OneOf(['room', 'layer', 'step', 'mark', 'sample', 'damp', 'air']) about!: string;
  @Words(200) aboutId!: string;
  @ValidateIf((p: PhotoWrite) => p.xMm !== null) @Figure(-PLACE_MM, PLACE_MM) xMm!: number | null;
  @ValidateIf((p: PhotoWrite) => p.yMm !== null) @Figure(-PLACE_MM, PLACE_MM) yMm!: number | null;
  @Moment() takenAt!: string;
  @Words(500) note!: string;
}

/** A default of the trade as this job has it: a rate, a price, a limit. */
export class FigureWrite extends Write {
  @Id() jobId!: string;
  @Words(60) name!: string;
  @Figure(0, 1e6) value!: number;
  @Words(300) source!: string;
}
