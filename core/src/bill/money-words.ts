/** Money in cents as it stands on a bill: `£1 234.50`, below nothing with its sign before. */
export function centsWords(cents: number, currency: string): string {
  const whole = Math.floor(Math.abs(cents) / 100)
    .toLocaleString('en')
    .replace(/,/g, '\u2009');
  const sign = cents < 0 ? '−' : '';
  const rest = String(Math.abs(cents) % 100).padStart(2, '0');
  return `${sign}${currency}${currency.length > 1 ? '\u2009' : ''}${whole}.${rest}`;
}
