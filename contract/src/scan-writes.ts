import 'reflect-metadata';
import { IsInt, Max, Min, ValidateBy } from 'class-validator';
import { SCAN_RANGES } from '@maquette/core/scan';
import { applyDecorators } from './apply.ts';
import { Figure, Moment, Words } from './decorators.ts';
import { Write } from './write.ts';

const PLACE_MM = 1_000_000;
const { turnDeg, cellMm, side, heightTenthMm, cells } = SCAN_RANGES;

function Side(): PropertyDecorator {
  const message = `takes a whole number, ${side.min} to ${side.max}`;
  return applyDecorators(IsInt({ message }), Min(side.min, { message }), Max(side.max, { message }));
}

const isHeight = (value: unknown) =>
  value === null ||
  (Number.isInteger(value) && (value as number) >= heightTenthMm.min && (value as number) <= heightTenthMm.max);

/** One height a cell. Looked through at once: a rule for each of a hundred thousand cells takes a second. */
function CellHeights(): PropertyDecorator {
  return ValidateBy({
    name: 'cellHeights',
    validator: {
      validate: (value: unknown, args) => {
        const { nx, ny } = args!.object as ScanWrite;
        return Array.isArray(value) && value.length === nx * ny && value.length <= cells && value.every(isHeight);
      },
      defaultMessage: () =>
        `takes nx × ny heights, ${cells} at most: whole tenths of a millimetre from ${heightTenthMm.min} to ${heightTenthMm.max}, or null where no floor was seen`,
    },
  });
}

/** A floor taken from a scan, as it was placed on the plan. */
export class ScanWrite extends Write {
  @Words(200) fileName!: string;
  @Figure(1, 1e9) points!: number;
  @Moment() takenAt!: string;
  @Figure(cellMm.min, cellMm.max) cellMm!: number;
  @Side() nx!: number;
  @Side() ny!: number;
  @Figure(-PLACE_MM, PLACE_MM) x0Mm!: number;
  @Figure(-PLACE_MM, PLACE_MM) y0Mm!: number;
  @CellHeights() heightsTenthMm!: (number | null)[];
  @Figure(0, 100) noiseMm!: number;
  @Figure(turnDeg.min, turnDeg.max) turnDeg!: number;
  @Figure(-PLACE_MM, PLACE_MM) xMm!: number;
  @Figure(-PLACE_MM, PLACE_MM) yMm!: number;
  @Words(500) note!: string;
}
