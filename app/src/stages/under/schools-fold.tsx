import { StyleSheet, View } from 'react-native';
import type { Question } from '@maquette/core/fields';
import {
  FILM_SCHOOL,
  JOINED,
  LAPS,
  PAD_SCHOOL,
  ROLLS_EDGE,
  ROLLS_LIE,
  TIMBER_SCHOOL,
} from '@maquette/core/under/questions';
import { gapWords, type UnitSystem } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useAnswers, type Answers } from '../use-answers.ts';

interface School {
  asked: Question<string> | Question<number>;
  words: string;
  /** Each with its words, lengths in the room’s own units. */
  options: readonly (readonly [string | number, string | ((units: UnitSystem) => string)])[];
  /** Why the first is the default. */
  why: string;
}

/** Rules over which practitioners differ. */
export const RULE_SCHOOLS: readonly School[] = [
  {
    asked: FILM_SCHOOL,
    words: 'Film on a mineral base',
    options: [
      ['always', 'Always'],
      ['by-need', 'Unless a membrane is on record'],
    ],
    why: 'A film costs little, and nobody sees later whether the membrane beneath was whole.',
  },
  {
    asked: TIMBER_SCHOOL,
    words: 'Film over timber',
    options: [
      ['by-card', 'Where the sheet asks for it'],
      ['never', 'Never'],
    ],
    why: 'Timber has to dry to one side. Who sells the planks may still ask for a film, and answers for it.',
  },
  {
    asked: PAD_SCHOOL,
    words: 'A soft layer under planks with a pad',
    options: [
      ['by-card', 'Where the sheet allows it'],
      ['never', 'Never'],
    ],
    why: 'Two soft layers let joints work; a sheet that allows it was tried with it.',
  },
];

/** How rolls are laid. */
export const ROLL_SCHOOLS: readonly School[] = [
  {
    asked: ROLLS_LIE,
    words: 'Underlay lies',
    options: [
      ['across', 'Across the planks'],
      ['along', 'Along them'],
      ['either', 'Whichever is cheaper'],
    ],
    why: 'Across, no seam of the underlay lies under a long joint of the planks.',
  },
  {
    asked: ROLLS_EDGE,
    words: 'Underlay ends',
    options: [
      ['short', 'Short of the wall'],
      ['to-wall', 'At the wall'],
    ],
    why: 'Short of it nothing curls up, and the gap for the planks stays clear.',
  },
  {
    asked: LAPS,
    words: 'Film laps',
    options: [
      [200, (units) => gapWords(200, units)],
      [100, (units) => `${gapWords(100, units)}, taped`],
    ],
    why: 'The wider lap forgives a tape that lets go.',
  },
  {
    asked: JOINED,
    words: 'Strips',
    options: [
      ['whole', 'In one piece'],
      ['joined', 'Joined from rests'],
    ],
    why: 'Whole strips are faster; joined ones need fewer rolls and more tape.',
  },
];

/** Schools as switches, each with what is usual and why. */
export function SchoolsFold({
  shown,
  schools,
  title,
}: {
  shown: ShownRoom;
  schools: readonly School[];
  title: string;
}) {
  const answers = useAnswers(shown);
  const own = schools.filter(
    ({ asked, options }) => answers.to(asked as Question) !== null && answers.to(asked as Question) !== options[0]![0],
  );
  return (
    <Fold title={title} aside={own.length === 0 ? 'as usual' : `${own.length} otherwise`}>
      <View style={styles.box}>
        {schools.map((school) => (
          <SchoolChoice key={school.words} school={school} answers={answers} units={shown.room!.units} />
        ))}
      </View>
    </Fold>
  );
}

function SchoolChoice({
  school: { asked, words, options, why },
  answers,
  units,
}: {
  school: School;
  answers: Answers;
  units: UnitSystem;
}) {
  const held = answers.to(asked as Question) ?? options[0]![0];
  return (
    <View style={styles.one}>
      <Choice
        label={words}
        inline
        value={String(held)}
        options={options.map(([value, named], k) => {
          const label = typeof named === 'string' ? named : named(units);
          return { value: String(value), label: k === 0 ? `${label} (usual)` : label };
        })}
        onChange={(value) =>
          void answers.set(asked as Question, options.find(([one]) => String(one) === value)![0], words)
        }
      />
      <Words size="small" quiet>
        {why}
      </Words>
    </View>
  );
}

const styles = StyleSheet.create({ box: { gap: SPACE.edge }, one: { gap: SPACE.near } });
