import type { Field, Fields, Kind } from '@maquette/core/fields';
import { KINDS } from './kinds.ts';
import { QUESTIONS } from './questions.ts';

/** What a field takes, in a few words: `0 to 5000 mm, or null`. */
function taken({ spec, orNull }: Field): string {
  const or = orNull ? ', or null' : '';
  switch (spec.type) {
    case 'figure':
      return `${spec.whole ? 'whole number, ' : ''}${spec.min} to ${spec.max}${spec.unit && ` ${spec.unit}`}${or}`;
    case 'text':
      return `text of at most ${spec.most} characters${spec.carriesIds ? ', in which ids may stand' : ''}${or}`;
    case 'id':
      return `${spec.refers === 'no' ? 'id of its own' : `id among \`${spec.of}\`${spec.refers === 'parent' ? ', which is there' : ''}`}${or}`;
    case 'flag':
      return `true or false${or}`;
    case 'moment':
      return `moment in UTC, ISO 8601${or}`;
    case 'day':
      return `day, or empty${or}`;
    case 'country':
      return `two capital letters${or}`;
    case 'zone':
      return `time zone such as \`Europe/London\`, or empty${or}`;
    case 'choice':
      return `${spec.of.map((word) => `\`${word}\``).join(', ')}${or}`;
    case 'cells':
      return `\`nx\` × \`ny\` whole numbers of ${spec.min} to ${spec.max} or null, ${spec.most} at most`;
    case 'list':
      return `${spec.least} to ${spec.most} ${spec.what}: ${taken(spec.of)}`;
    case 'group':
      return `${inside(spec.fields)}${or}`;
    case 'answer':
      return 'as the question takes it, see below';
  }
}

const inside = (fields: Fields) =>
  `{ ${Object.entries(fields)
    .map(([name, field]) => `\`${name}\`${field.mayLack ? ' (may lack)' : ''}: ${taken(field)}`)
    .join('; ')} }`;

function kindLines([name, { words, home, fields, newestCounts }]: [string, Kind]): string[] {
  return [
    `### \`${name}\`: ${words.toLowerCase()}`,
    '',
    `Kept with the ${home}.${newestCounts ? ' Of several about the same thing the newest counts.' : ''}`,
    '',
    ...Object.entries(fields).map(([field, of]) => `- \`${field}\`: ${taken(of)}`),
    '',
  ];
}

/** Every kind of fact and every question, as the files' documentation shows them: from the descriptors, in Markdown. */
export function describedKinds(): string {
  const questions = [...QUESTIONS.values()].map(({ question, takes }) => `- \`${question}\`: ${taken(takes)}`);
  return [...Object.entries(KINDS).flatMap(kindLines), '### Questions answered', '', ...questions].join('\n');
}
