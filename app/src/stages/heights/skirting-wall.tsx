import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { figure } from '@maquette/core/fields';
import { HEIGHT_RANGES, SKIRTING_FITS, WAVER, type SkirtingFact } from '@maquette/core/heights';
import { wallName, type RoomFacts } from '@maquette/core/room';
import { formatReach, gapWords, type UnitSystem } from '@maquette/core/units';
import { bodyOf } from '@maquette/facts';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { FactField } from '../../form/fact-field.tsx';
import { useDraftForm } from '../../form/fact-form.ts';
import { OneField } from '../../form/one-field.tsx';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import type { Heights } from './height-asks.ts';

const BOARD = figure(HEIGHT_RANGES.boardMm.min, HEIGHT_RANGES.boardMm.max, 'mm');
/** Old wall that shows by less is nothing to see, mm. */
const SHOWS_MM = 0.5;
const FIT_WORDS = { refit: 'Put back', stays: 'Stays on the wall', new: 'New board' } as const;

type Body = Omit<SkirtingFact, 'id'>;

/** Skirting along one wall: what becomes of the board, how it covers the gap, and what is left beneath it. */
export function SkirtingWall({
  shown,
  room,
  of,
  onRead,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  of: Heights['skirting'][number];
  /** Goes to reading the bottom of the board. */
  onRead: () => void;
}) {
  const { units } = room;
  const name = wallName(room.walls, of.wall);
  const held = shown.skirtings.findLast((one) => one.wall === of.wall);
  const body: Body = held ? bodyOf(held) : { wall: of.wall, boardMm: of.boardMm, fit: 'refit', waver: [], note: '' };
  const put = (part: Partial<Body>) =>
    write(`Skirting of ${name}`, [
      { kind: 'skirtings', id: held?.id ?? newId(), roomId: room.id, body: { ...body, ...part } },
    ]);
  return (
    <View style={styles.wall} testID={`skirting-${name}`}>
      <Words bold>{`${name}, ${formatReach(of.lengthMm, units)} of board`}</Words>
      <Words>
        {coverWords(of, units)}
        {of.beneathMm === null || of.fit === 'stays'
          ? ''
          : of.beneathMm > of.beneathMostMm
            ? ` ${gapWords(of.beneathMm, units)} would show beneath it: scribe the board, or take a bead.`
            : ` At most ${gapWords(of.beneathMm, units)} are left beneath it.`}
        {of.riseMm < -SHOWS_MM && of.fit !== 'stays'
          ? ` It comes down by ${gapWords(-of.riseMm, units)}: as much of the old wall shows over it, to be painted or covered.`
          : ''}
      </Words>
      <Choice
        label={`The board on ${name}`}
        inline
        value={of.fit}
        options={SKIRTING_FITS.map((value) => ({ value, label: FIT_WORDS[value] }))}
        onChange={(fit) => void put({ fit })}
      />
      {of.fit === 'stays' ? (
        <>
          <Words bold={of.left !== null && of.left.why !== null}>{leftWords(of.left, units)}</Words>
          <ButtonRow>
            <Button label={`Read the bottom of the board on ${name}`} onPress={onRead} />
          </ButtonRow>
        </>
      ) : null}
      <OneField
        of={BOARD}
        value={of.assumed ? null : of.boardMm}
        units={units}
        label={`Thickness of the board on ${name}`}
        {...(of.assumed ? { hint: `Reckoned with ${gapWords(of.boardMm, units)} until it is measured.` } : {})}
        onTaken={(boardMm) => put({ boardMm })}
      />
      <Waver name={name} units={units} places={body.waver} onPut={(waver) => put({ waver })} />
    </View>
  );
}

/** How the gap along the wall is covered. */
function coverWords({ verdict, fit }: Heights['skirting'][number], units: UnitSystem): string {
  if (fit === 'stays') return 'The planks go in under it as it hangs.';
  const board = fit === 'new' ? 'Nail up the new board' : 'Put the board back';
  return verdict.what === 'refit'
    ? `${board}: it covers the gap with ${gapWords(verdict.spareMm, units)} to spare.`
    : verdict.what === 'bead'
      ? `${board} with a bead of ${gapWords(verdict.beadMm, units)}, fixed to the board and never to the floor.`
      : `No board or bead covers the gap, ${gapWords(verdict.shortMm, units)} are missing: scribe the planks to the wall.`;
}

/** Whether a board may stay where it hangs, and what speaks against it. */
function leftWords(left: Heights['skirting'][number]['left'], units: UnitSystem): string {
  if (!left) return 'Whether it may stay is known once its bottom and the floor are read.';
  const over = `It hangs ${gapWords(left.leastMm, units)} over the new floor where that is highest and ${gapWords(left.mostMm, units)} where it is lowest.`;
  if (left.leastMm < 0)
    return `The new floor comes ${gapWords(-left.leastMm, units)} above its bottom: take it off, or cut it along its bottom.`;
  if (left.why === 'too-low') return `${over} Planks do not pass under it: take it off, or cut it along its bottom.`;
  if (left.why === 'too-high') return `${over} That shows: take it off and set it lower, or add a bead.`;
  if (left.why === 'too-thin') return `${over} It is too thin to cover the gap: add a bead, fixed to the board.`;
  return `${over} It may stay.`;
}

/** Where the wall stands off a string along it, place by place. */
function Waver({
  name,
  units,
  places,
  onPut,
}: {
  name: string;
  units: UnitSystem;
  places: Body['waver'];
  onPut: (places: Body['waver']) => ReturnType<typeof write>;
}) {
  const [begins, setBegins] = useState({ alongMm: 0, intoRoomMm: 0 });
  const form = useDraftForm(WAVER, begins, units);
  return (
    <Fold
      title={`Where ${name} is not straight`}
      aside={places.length === 0 ? 'taken as straight' : `${places.length} ${places.length === 1 ? 'place' : 'places'}`}
    >
      <Words size="small" quiet>
        Stretch a string from corner to corner and read how far the wall stands into the room from it, below zero where
        it stands back. Read the corners as well, at zero.
      </Words>
      {places.map((place, k) => (
        <View key={`${k}/${place.alongMm}`} style={styles.place}>
          <Words figure style={styles.grow}>
            {`${formatReach(place.alongMm, units)}: ${place.intoRoomMm < 0 ? `${gapWords(-place.intoRoomMm, units)} back` : `${gapWords(place.intoRoomMm, units)} into the room`}`}
          </Words>
          <Button
            label="Remove"
            hint={`Place ${k + 1} on ${name}`}
            onPress={() => void onPut(places.filter((_, at) => at !== k))}
          />
        </View>
      ))}
      <FactField form={form} name="alongMm" label={`Along ${name}, from its start`} />
      <FactField form={form} name="intoRoomMm" label="Into the room from the string" signed />
      {form.problem ? <Words role="alert">{form.problem}</Words> : null}
      <ButtonRow>
        <Button
          label={`Add the place on ${name}`}
          onPress={() =>
            void form.record(async (place) => {
              const written = await onPut([...places, place].sort((a, b) => a.alongMm - b.alongMm));
              if (written.ok) setBegins({ alongMm: 0, intoRoomMm: 0 });
              return written;
            })
          }
        />
      </ButtonRow>
    </Fold>
  );
}

const styles = StyleSheet.create({
  wall: { gap: SPACE.near },
  place: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  grow: { flex: 1 },
});
