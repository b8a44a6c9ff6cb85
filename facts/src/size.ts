import type { Field, Fields, Spec } from '@maquette/core/fields';
import { KINDS, type FactKind } from './kinds.ts';
import { WRITE } from './made.ts';
import { QUESTIONS } from './questions.ts';

/** A figure written out, a moment in UTC, an id, a country: each with what surrounds it. */
const [FIGURE, MOMENT, ID, SHORT] = [26, 34, 70, 12];
/** A character of text may take six bytes: `\\u0007`. */
const CHARACTER = 6;

/** Bytes a value of a field takes as JSON at most. */
function ofSpec(spec: Spec): number {
  switch (spec.type) {
    case 'figure':
      return FIGURE;
    case 'text':
      return spec.most * CHARACTER + 2;
    case 'id':
      return ID;
    case 'moment':
    case 'day':
      return MOMENT;
    case 'choice':
      return Math.max(...spec.of.map((one) => String(one).length + 2));
    case 'list':
      return spec.most * (ofField(spec.of) + 1) + 2;
    case 'cells':
      return spec.most * (Math.max(String(spec.min).length, String(spec.max).length, 4) + 1) + 2;
    case 'group':
      return ofFields(spec.fields);
    case 'answer':
      return Math.max(...[...QUESTIONS.values()].map(({ takes }) => ofField(takes)));
    default:
      return SHORT;
  }
}

const ofField = ({ spec }: Field): number => Math.max(ofSpec(spec), 'null'.length);
const ofFields = (fields: Fields): number =>
  Object.entries(fields).reduce((sum, [name, field]) => sum + name.length + 4 + ofField(field), 2);

/** Bytes a write of a kind takes as JSON at most, by what its fields take: whatever its class would pass is read. */
export const largestWrite = (kind: FactKind): number => ofFields({ ...KINDS[kind].fields, ...WRITE });
