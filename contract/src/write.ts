import 'reflect-metadata';
import { IsBoolean, IsInt, Min } from 'class-validator';
import { Id } from './decorators.ts';

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
