import type { LayPlan } from '@maquette/core';
import type { RoomFacts } from '@maquette/core/room';
import type { ShownRoom } from '../../data/use-facts.ts';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { changeSetOut, setOutOf } from './set-out-change.ts';

const PATTERNS = { stagger: 'staggered', half: 'half bond', third: 'third bond', herringbone: 'herringbone' } as const;

/** The pattern of the planks, and for herringbone the straight rows round it. */
export function PatternFold({ shown, room, plan }: { shown: ShownRoom; room: RoomFacts; plan: LayPlan | null }) {
  const chosen = setOutOf(shown);
  const isStaves = shown.card?.kind === 'click-herringbone';
  const isMixed = (shown.card?.mixedLengths.length ?? 0) > 0;
  const isHerringbone = isStaves || chosen.pattern === 'herringbone';
  const isMixedRows = isMixed && !isHerringbone;
  return (
    <Fold
      title="Pattern"
      aside={isMixedRows ? 'lengths as they come' : PATTERNS[isStaves ? 'herringbone' : chosen.pattern]}
      memory={`lay-pattern/${room.id}`}
    >
      {isStaves ? null : (
        <Choice
          label="Pattern"
          value={isMixedRows ? 'stagger' : chosen.pattern}
          options={[
            isMixed
              ? { value: 'stagger', label: 'Lengths as they come', note: 'The card’s boxes hold several lengths' }
              : { value: 'stagger', label: 'Staggered', note: 'Fewest planks, no stairs and no H' },
            ...(isMixed
              ? []
              : ([
                  { value: 'half', label: 'Half bond' },
                  { value: 'third', label: 'Third bond' },
                ] as const)),
            { value: 'herringbone', label: 'Herringbone', note: 'Staves of both hands at 45 degrees' },
          ]}
          onChange={(pattern) => void changeSetOut(shown, 'Pattern', { pattern })}
        />
      )}
      {isHerringbone ? (
        <>
          <Choice
            label="Border of straight rows"
            inline
            value={String(chosen.borderRows)}
            options={['0', '1', '2', '3'].map((value) => ({ value, label: value === '0' ? 'None' : value }))}
            onChange={(value) => void changeSetOut(shown, 'Border', { borderRows: Number(value) })}
          />
          {chosen.borderRows > 0 && plan?.herringbone?.border === null ? (
            <Words bold role="alert">
              A border this wide leaves the pattern no room: it is laid without one.
            </Words>
          ) : null}
          <Words size="small">
            Without a border the pattern runs to the walls and every stave there is cut. A border hides walls out of
            true and takes the cuts away from the skirting.
          </Words>
        </>
      ) : null}
      {plan && !isHerringbone && !isMixed && plan.pattern !== chosen.pattern ? (
        <Words bold role="alert">
          A third of this plank is less than the stagger its card asks: it is laid staggered instead.
        </Words>
      ) : null}
    </Fold>
  );
}
