import 'reflect-metadata';
import { Type } from 'class-transformer';
import {
  ArrayMaxSize,
  Equals,
  IsArray,
  IsObject,
  IsOptional,
  Matches,
  ValidateIf,
  ValidateNested,
} from 'class-validator';
import { moment, refersTo, text, whole } from '@maquette/core/fields';
import { belongings } from './belongings.ts';
import { checkId, checkShape, checkWrite } from './check.ts';
import { JOB_FILE_FORMAT, JOB_FILE_VERSION } from './format.ts';
import { FACT_KINDS, isFactKind, type FactKind, type Stored } from './kinds.ts';
import type { SaidProblem } from './problem.ts';
import { ruled } from './shape.ts';

/** Versions of one fact: far more than anybody makes. */
const VERSION_MOST = 1_000_000;

const Id = () => ruled(refersTo('facts'));
const Moment = () => ruled(moment());

const Version = () => ruled(whole(1, VERSION_MOST));

/** A version that a fact replaced. */
class FiledRevision implements Omit<Stored, 'id'> {
  @Version() version!: number;
  @Id() writeId!: string;
  @Moment() updatedAt!: string;
  @ValidateIf((old: FiledRevision) => old.deletedAt !== null) @Moment() deletedAt!: string | null;
  @IsObject({ message: 'takes an object' }) body!: Record<string, unknown>;
}

/** One stored fact in a job file: its record, and every version it replaced, oldest first. */
export class FiledFact {
  @ruled(text(40)) kind!: FactKind;
  @Id() id!: string;
  @ValidateIf((fact: FiledFact) => fact.roomId !== null) @Id() roomId!: string | null;
  @Version() version!: number;
  @Id() writeId!: string;
  @Moment() updatedAt!: string;
  @ValidateIf((fact: FiledFact) => fact.deletedAt !== null) @Moment() deletedAt!: string | null;
  @IsObject({ message: 'takes an object' }) body!: Record<string, unknown>;

  @IsArray({ message: 'takes a list' })
  @ArrayMaxSize(1000, { message: 'takes at most 1000' })
  @IsObject({ each: true, message: 'takes objects' })
  @ValidateNested({ each: true })
  @Type(() => FiledRevision)
  replaced!: FiledRevision[];
}

/** The picture of a photograph in a job file. */
class FiledPicture {
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
  @IsArray({ message: 'takes a list of pictures' })
  @ArrayMaxSize(2000, { message: 'takes at most 2000 pictures' })
  @IsObject({ each: true, message: 'takes pictures' })
  @ValidateNested({ each: true })
  @Type(() => FiledPicture)
  pictures?: FiledPicture[];
}

/** Problems are listed up to this many: whoever reads them mends the first ones first. */
const LISTED = 50;

/** Problems with a job file: its own form, each fact by the class of its kind, and what belongs to what. At most 50 are listed. */
export function checkJobFile(plain: unknown): SaidProblem[] {
  const outer = checkShape(JobFile, plain);
  if (outer.length > 0) return outer.slice(0, LISTED);
  const file = plain as JobFile;
  const problems: SaidProblem[] = [];
  for (const [index, fact] of file.facts.entries()) {
    const at = `facts[${index}]`;
    if (!isFactKind(fact.kind))
      problems.push({ field: `${at}.kind`, value: fact.kind, message: `takes one of ${FACT_KINDS.join(', ')}` });
    else {
      problems.push(...checkId(fact.kind, fact.id).map((p) => ({ ...p, field: `${at}.id` })));
      const bodies = [
        { body: fact.body, name: 'body' },
        ...fact.replaced.map(({ body }, old) => ({ body, name: `replaced[${old}].body` })),
      ];
      for (const { body, name } of bodies) {
        const inner = checkWrite(fact.kind, { ...body, baseVersion: 0, writeId: fact.writeId, deleted: false });
        problems.push(...inner.map((p) => ({ ...p, field: `${at}.${name}.${p.field}` })));
      }
    }
    if (problems.length >= LISTED) break;
  }
  return (problems.length > 0 ? problems : belongings(file)).slice(0, LISTED);
}
