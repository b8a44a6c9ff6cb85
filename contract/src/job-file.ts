import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsInt,
  IsObject,
  IsOptional,
  Matches,
  Min,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { Id, Listed, Moment, Words } from './decorators.ts';
import { checkShape, checkWrite, type FieldProblem } from './check.ts';
import { FACT_KINDS, type FactKind, type Stored } from './facts.ts';

export const JOB_FILE_FORMAT = 'maquette-job';
export const JOB_FILE_VERSION = 3;

/** One stored fact in a job file: its record, and every version it replaced, oldest first. */
export class FiledFact {
  @Words(12) kind!: FactKind;
  @Id() id!: string;
  @ValidateIf((fact: FiledFact) => fact.roomId !== null) @Id() roomId!: string | null;
  @IsInt({ message: 'takes a whole number' }) @Min(1, { message: 'takes 1 or more' }) version!: number;
  @Id() writeId!: string;
  @Moment() updatedAt!: string;
  @ValidateIf((fact: FiledFact) => fact.deletedAt !== null) @Moment() deletedAt!: string | null;
  @IsObject({ message: 'takes an object' }) body!: Record<string, unknown>;

  @IsArray({ message: 'takes a list' })
  @ArrayMaxSize(1000, { message: 'takes at most 1000' })
  @IsObject({ each: true, message: 'takes objects' })
  replaced!: FiledRevision[];
}

export interface FiledRevision extends Omit<Stored, 'id'> {
  body: Record<string, unknown>;
}

/** The picture of a photograph in a job file. */
export class FiledPicture {
  @Id() photoId!: string;
  @Matches(/^[A-Za-z0-9+/]+={0,2}$/, { message: 'takes a JPEG as base64' }) jpegBase64!: string;
}

/** A whole job as one file. Facts are in an order in which each may be stored: job, cards, rooms, then what lies in rooms. */
export class JobFile {
  @Equals(JOB_FILE_FORMAT, { message: `takes "${JOB_FILE_FORMAT}"` }) format!: typeof JOB_FILE_FORMAT;
  @Equals(JOB_FILE_VERSION, { message: `takes ${JOB_FILE_VERSION}` }) version!: typeof JOB_FILE_VERSION;
  @Moment() writtenAt!: string;

  @IsArray({ message: 'takes a list of facts' })
  @ArrayMaxSize(100_000, { message: 'takes at most 100000 facts' })
  @IsObject({ each: true, message: 'takes facts' })
  @ValidateNested({ each: true })
  @Type(() => FiledFact)
  facts!: FiledFact[];

  /** Absent in files of version 1, which had none. */
  @IsOptional()
  @Listed(() => FiledPicture, 'pictures', 2000)
  pictures?: FiledPicture[];
}

/** Problems with a job file, its facts' own fields included; at most 50 are listed. */
export function checkJobFile(plain: unknown): FieldProblem[] {
  const outer = checkShape(JobFile, plain);
  if (outer.length > 0) return outer.slice(0, 50);
  const problems: FieldProblem[] = [];
  for (const [index, fact] of (plain as JobFile).facts.entries()) {
    if (!FACT_KINDS.includes(fact.kind))
      problems.push({
        field: `facts[${index}].kind`,
        value: fact.kind,
        message: `takes one of ${FACT_KINDS.join(', ')}`,
      });
    else {
      for (const body of [fact.body, ...fact.replaced.map((old) => old.body)]) {
        const inner = checkWrite(fact.kind, { ...body, baseVersion: 0, writeId: fact.writeId, deleted: false });
        problems.push(...inner.map((p) => ({ ...p, field: `facts[${index}].body.${p.field}` })));
      }
    }
    if (problems.length >= 50) break;
  }
  return problems.slice(0, 50);
}
