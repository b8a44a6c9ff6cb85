import { roundTo } from '@maquette/core/units';

/** Hours as they are said: `2.5 h`, `45 min`. */
export function hoursWords(hours: number): string {
  if (hours === 0) return 'none';
  return hours < 1 ? `${Math.max(5, Math.round((hours * 60) / 5) * 5)} min` : `${roundTo(hours, 0.1)} h`;
}

/** Money with the job's currency, whole. */
export function moneyWords(amount: number, currency: string): string {
  const whole = Math.round(amount).toLocaleString('en').replace(/,/g, '\u2009');
  return currency ? `${currency}${currency.length > 1 ? '\u2009' : ''}${whole}` : whole;
}

/** The same said as what it is where no currency says so. */
export function costWords(amount: number, currency: string): string {
  return currency ? moneyWords(amount, currency) : `cost ${moneyWords(amount, currency)}`;
}
