import { BAR_WORDS, type BarKind } from '@maquette/core/heights';
import type { Say } from '../../ui/shown-in.tsx';

/** A bar by its name; what stands in its place where there is none yet. */
export const barWordsOf = (kind: BarKind, say: Say): string =>
  kind === 'measure' ? 'Not known yet' : kind === 'make-good' ? 'Make good first' : say(BAR_WORDS[kind]);

/** Why a bar was chosen, and what it asks for. */
export const BAR_REASONS: Record<BarKind, string> = {
  measure: 'A level is missing: read it first.',
  'make-good': 'The step goes both ways along the opening: no bar lies on both.',
  'run-through':
    'The same floor lies beyond and nothing parts it here, and the step is no more than half a millimetre.',
  flat: 'A flat bar or a T takes it as it is.',
  tilted: 'A T takes it on a base that is planed to a wedge, while it tilts no more than its track holds.',
  'ramp-bar': 'A T would tilt too far, or the step waves along the opening: a ramp bar slopes over it.',
  reducer: 'More than a T on a wedge takes: a reducer slopes from one floor to the other.',
  'carpet-bar': 'Carpet lies beyond: its pad is cut back and a gripper holds it at the bar.',
  'made-ramp': 'More than any bar takes: the lower floor is brought up to it, or a threshold is set.',
  nosing: 'The edge of a stair takes a nosing, glued and screwed to the stair and never through the floor.',
};
