import { centsWords } from '@maquette/core/bill/money-words';

export interface QuotationLine {
  what: string;
  cents: number;
}

export interface QuotationWords {
  job: string;
  number: number;
  day: string;
  validDays: number;
  lines: readonly QuotationLine[];
  net: number;
  tax: readonly { permille: number; cents: number }[];
  gross: number;
  provisional: readonly { what: string; trigger: string; cents: number }[];
  promisedDay: string | null;
  /** What is stopped, so that its price stands on it turning out well. */
  left: readonly string[];
  currency: string;
}

const WIDE = 72;
const line = (what: string, sum: string): string => {
  const room = WIDE - sum.length - 2;
  const words = what.length > room ? `${what.slice(0, room - 1)}…` : what;
  return `${words}${' '.repeat(Math.max(2, WIDE - words.length - sum.length))}${sum}`;
};

/** A quotation as plain text, as it is sent or printed: firm lines, tax, what may come, and what it stands on. */
export function quotationText(of: QuotationWords): string {
  const money = (cents: number) => centsWords(cents, of.currency);
  const rule = '-'.repeat(WIDE);
  return [
    `Quotation ${of.number}: ${of.job}`,
    `${of.day}, holds for ${of.validDays} days`,
    '',
    ...of.lines.map(({ what, cents }) => line(what, money(cents))),
    rule,
    line('Without tax', money(of.net)),
    ...of.tax.map(({ permille, cents }) => line(`Tax, ${permille / 10} %`, money(cents))),
    line('With tax', money(of.gross)),
    ...(of.provisional.length > 0
      ? [
          '',
          'What may come, charged only where it does, without tax:',
          ...of.provisional.flatMap(({ what, trigger, cents }) => [
            line(what, money(cents)),
            ...(trigger ? [`  if: ${trigger}`] : []),
          ]),
          'Whatever comes is shown before it is done, and begins when you have agreed.',
        ]
      : []),
    ...(of.promisedDay ? ['', `The planks are begun in the last room by ${of.promisedDay}.`] : []),
    ...(of.left.length > 0
      ? [
          '',
          'It stands on these turning out well; until they do no day is promised:',
          ...of.left.map((one) => `- ${one}`),
        ]
      : []),
    '',
  ].join('\n');
}
