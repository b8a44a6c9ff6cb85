import { isDay, isMoment } from './days.ts';
import { KINDS, type FactKind } from './kinds.ts';
import { NO_LONGER_ASKED, QUESTIONS } from './questions.ts';

type Body = Record<string, unknown>;

const LAYER = 'layer/';
const TRIM = 'trim/';
const RISE = 'levelling/rise/';
const YEAR = 'trim/year';
/** Answers that were a number, a list of numbers or a day, told by their topic. */
const NUMBERS = ['damp/wait', 'damp/faces', 'levelling/plane', YEAR];
const LISTS = ['damp/outer-walls'];
const DAYS = ['damp/weathertight', 'damp/changed', 'lay/date'];

/** An answer kept as a topic and a text, as the typed fact it is today. One that cannot be read as such is kept word for word. */
export function upgradedAnswer(body: Body): { kind: FactKind; body: Body } {
  const [topic, value] = [String(body['topic']), String(body['value'])];
  const note = String(body['note'] ?? '');
  if (topic.startsWith(LAYER) && isChoice(value))
    return { kind: 'layerChoices', body: { layerId: topic.slice(LAYER.length), choice: value, note } };
  if (topic.startsWith(RISE)) {
    const riseMm = value === '' ? null : Number(value);
    if (riseMm === null || (Math.abs(riseMm) <= 400 && Number.isFinite(riseMm)))
      return { kind: 'rises', body: { placeId: topic.slice(RISE.length), riseMm, note } };
  }
  if (topic.startsWith(TRIM) && topic !== YEAR && (value === 'refit' || value === 'discard'))
    return { kind: 'trimFates', body: { piece: topic.slice(TRIM.length), fate: value, note } };
  const answer = answerOf(topic, value);
  if (answer !== undefined) return { kind: 'answers', body: { question: topic, answer, note } };
  return {
    kind: 'answers',
    body: { question: NO_LONGER_ASKED.question, answer: `${topic}: ${value}`.slice(0, 400), note },
  };
}

function isChoice(value: string): boolean {
  const { spec } = KINDS.layerChoices.fields.choice;
  return spec.type === 'choice' && spec.of.includes(value);
}

function answerOf(topic: string, value: string): unknown {
  const asked = QUESTIONS.get(topic);
  if (!asked) return undefined;
  const { spec } = asked.takes;
  if (NUMBERS.includes(topic)) {
    if (value === '' && asked.takes.orNull) return null;
    const number = Number(value);
    if (spec.type === 'choice') return spec.of.includes(number) ? number : undefined;
    return spec.type === 'figure' &&
      value !== '' &&
      Number.isInteger(number) &&
      number >= spec.min &&
      number <= spec.max
      ? number
      : undefined;
  }
  if (LISTS.includes(topic)) {
    const numbers = value
      .split(',')
      .filter((part) => part !== '')
      .map(Number);
    return numbers.every((n) => Number.isInteger(n) && n >= 0 && n < 60) ? numbers : undefined;
  }
  if (DAYS.includes(topic)) return isDay(value.slice(0, 10)) ? value.slice(0, 10) : undefined;
  if (spec.type === 'moment') return isMoment(value) ? value : undefined;
  return spec.type === 'choice' && spec.of.includes(value) ? value : undefined;
}
