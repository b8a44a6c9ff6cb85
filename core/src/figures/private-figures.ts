import { ALL_FIGURES, type AnyFigureName } from './job-figures.ts';
import { PRICE } from './figure.ts';

/** Figures that say how a price is made, though they are no price themselves. */
const PRICING: ReadonlySet<string> = new Set<AnyFigureName>(['margin-pct', 'round-to', 'grinder-resale-pct']);

/**
 * Whether a figure is nobody else’s business: it says what something costs the installer, or how a price is made of that. One that is
 * not known here may say anything.
 */
export function isPrivateFigure(name: string): boolean {
  if (!Object.hasOwn(ALL_FIGURES, name)) return true;
  return ALL_FIGURES[name as AnyFigureName].source === PRICE || PRICING.has(name);
}
