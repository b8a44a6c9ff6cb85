import { View } from 'react-native';
import type { LayPlan } from '@maquette/core';
import { setOuts, type SetOut } from '@maquette/core/setout/facts';
import { openingName, wallName, type RoomFacts } from '@maquette/core/room';
import type { ShownRoom } from '../../data/use-facts.ts';
import { OneField } from '../../form/one-field.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { BreaksFold } from './breaks-fold.tsx';
import { GapsFold } from './gaps-fold.tsx';
import { PatternFold } from './pattern-fold.tsx';
import { WindowsFields } from './windows-fields.tsx';
import { sawn } from './lengths.ts';
import { changeSetOut, setOutOf } from './set-out-change.ts';

const NONE = 'none';

/** Where the rows begin, how wide the first is, in which pattern, and through which openings they run on. */
export function ChoicesFolds({ shown, room, plan }: { shown: ShownRoom; room: RoomFacts; plan: LayPlan | null }) {
  const say = useSay();
  const chosen = setOutOf(shown);
  const change = (words: string, part: Partial<Omit<SetOut, 'id'>>) => void changeSetOut(shown, words, part);
  const laid = shown.laidRows.length > 0;
  const walls = room.walls.map((_, wall) => ({ value: String(wall), label: wallName(room.walls, wall) }));
  const isHerringbone = shown.card?.kind === 'click-herringbone';
  const hand = shown.card?.layHand;
  const joined = room.openings.filter(({ sharedId }) => sharedId !== null);
  return (
    <>
      {laid ? (
        <Words>Rows lie already: start wall and first row stand. Take those rows back under Cut to change them.</Words>
      ) : (
        <Fold title="Start wall" aside={plan ? say(plan.startWall.name) : ''} memory={`lay-start/${room.id}`}>
          <Choice
            label="Start at"
            inline
            value={chosen.startWall === null ? NONE : String(chosen.startWall)}
            options={[{ value: NONE, label: 'As proposed' }, ...walls]}
            onChange={(value) =>
              change(value === NONE ? 'Start wall as proposed' : `Start at ${wallName(room.walls, Number(value))}`, {
                startWall: value === NONE ? null : Number(value),
              })
            }
          />
          <Choice
            label="The light comes from"
            inline
            value={chosen.lightWall === null ? NONE : String(chosen.lightWall)}
            options={[{ value: NONE, label: chosen.windows.length > 0 ? 'Most window' : 'Not said' }, ...walls]}
            onChange={(value) => change('Light', { lightWall: value === NONE ? null : Number(value) })}
          />
          <WindowsFields shown={shown} room={room} />
          {hand && hand !== 'unsaid' ? (
            <Words>{`The card has rows laid ${hand === 'left-to-right' ? 'from left to right' : 'from right to left'}, facing the start wall.`}</Words>
          ) : (
            <Choice
              label="Facing the start wall, rows are laid"
              value={chosen.hand}
              options={[
                { value: 'left-to-right', label: 'From left to right' },
                { value: 'right-to-left', label: 'From right to left', note: 'Where the locks of the card ask for it' },
              ]}
              onChange={(hand) => change('Hand of the rows', { hand })}
            />
          )}
          <Words size="small">
            The first row follows a snapped line and never the wall: walls are rarely straight. Where planks of wood lie
            over joists they run across them; else they follow the light, or the longest wall.
          </Words>
        </Fold>
      )}
      {isHerringbone ? null : (
        <>
          {laid ? null : (
            <Fold
              title="First row"
              aside={plan && !plan.herringbone ? sawn(plan.edges.firstMm[0], room.units) : ''}
              memory={`lay-first/${room.id}`}
            >
              <Choice
                label="Its width"
                value={chosen.firstRow}
                options={[
                  {
                    value: 'fewest',
                    label: 'Fewest planks',
                    note: 'The default: the wall hides an edge, the bill does not',
                  },
                  { value: 'equal', label: 'Like the last row', note: 'Both edges show alike' },
                  {
                    value: 'centre',
                    label: 'From the middle line',
                    note: 'As in a passage: rows run halfway between its two long walls',
                  },
                  { value: 'from-wall', label: 'As wide as may be, from the wall', note: 'Fewest rips at the start' },
                  { value: 'set', label: 'Set by hand' },
                ]}
                onChange={(firstRow) =>
                  change('First row', {
                    firstRow,
                    ...(firstRow === 'set' && chosen.firstMm === null && plan
                      ? { firstMm: Math.round(plan.firstMm) }
                      : {}),
                  })
                }
              />
              {chosen.firstRow === 'set' ? (
                <OneField
                  of={setOuts.fields.firstMm}
                  value={chosen.firstMm}
                  units={room.units}
                  label="Width of the first row"
                  onTaken={(firstMm) => changeSetOut(shown, 'Width of the first row', { firstMm })}
                />
              ) : null}
              {plan && plan.firstMm - plan.edges.firstMm[1] > 1 ? (
                <Words size="small">{`Widths here are counted from the farthest edge of the floor, in the doorway: along the wall the row is ${sawn(plan.firstMm - plan.edges.firstMm[1], room.units)} narrower.`}</Words>
              ) : null}
              {plan && plan.firstRows.length > 0 && !plan.isSingleRow ? (
                <Words size="small">
                  {`Every edge keeps its least row with a first row of ${plan.firstRows.map(([from, to]) => (to - from < 1 ? sawn(from, room.units) : `${sawn(from, room.units)} to ${sawn(to, room.units)}`)).join(', or ')}.`}
                </Words>
              ) : null}
              {plan?.isSingleRow ? (
                <Words size="small">The floor is narrower than a plank: one row, ripped on both sides.</Words>
              ) : null}
            </Fold>
          )}
        </>
      )}
      <PatternFold shown={shown} room={room} plan={plan} />
      {joined.length > 0 ? (
        <Fold
          title="Laid through into the next room"
          aside={chosen.through.length === 0 ? 'no' : String(chosen.through.length)}
          memory={`lay-through/${room.id}`}
        >
          <View style={{ gap: SPACE.near }}>
            {joined.map((opening) => {
              const isOn = chosen.through.some(({ openingId }) => openingId === opening.id);
              return (
                <ButtonRow key={opening.id}>
                  <Button
                    label={`Through the ${say(openingName(room, opening))}`}
                    selected={isOn}
                    onPress={() =>
                      change(isOn ? 'Parted again' : 'Laid through', {
                        through: isOn
                          ? chosen.through.filter(({ openingId }) => openingId !== opening.id)
                          : [...chosen.through, { openingId: opening.id }],
                      })
                    }
                  />
                </ButtonRow>
              );
            })}
            <Words size="small">
              A run longer than the card allows, a heated floor beside an unheated one, and a joint of the building are
              parted by a bar. Heights says where.
            </Words>
          </View>
        </Fold>
      ) : null}
      <BreaksFold shown={shown} room={room} />
      <GapsFold shown={shown} room={room} />
    </>
  );
}
