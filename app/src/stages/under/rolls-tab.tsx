import { StyleSheet, View } from 'react-native';
import type { RollsOfJob } from '@maquette/core';
import type { RoomFacts } from '@maquette/core/room';
import { formatArea, formatReach, type UnitSystem } from '@maquette/core/units';
import { FIGURES, UNDER_FIGURES, type FigureName } from '@maquette/core/figures';
import type { ShownRoom } from '../../data/use-facts.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { moneyWords } from '../amounts.ts';
import { FiguresFold } from '../figures-fold.tsx';
import type { NamedFigure } from '../named-figure.ts';
import { useSaveFile } from '../../files/use-save-file.ts';
import { ROLL_SCHOOLS, SchoolsFold } from './schools-fold.tsx';
import type { Planned } from './planned.ts';
import { WorkingLine } from './working-line.tsx';

const FIGURES_HERE = (Object.keys(UNDER_FIGURES) as FigureName[])
  .filter((name) => /^(film|roll|tape)-/.test(name))
  .map((name): NamedFigure => [name, FIGURES[name]]);

/** Rolls of underlay and film over all rooms of the job, and the strips of this one in the order in which they are laid. */
export function RollsTab({
  shown,
  room,
  planned,
  of,
  onOf,
  onChoose,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  planned: Planned;
  of: RollsOfJob | null;
  onOf: (of: RollsOfJob) => void;
  onChoose: () => void;
}) {
  const mine = (planned.plan?.rolls ?? []).filter(({ rooms }) => rooms.some(({ roomId }) => roomId === room.id));
  const { units } = room;
  if (planned.plan && mine.length === 0)
    return (
      <View style={styles.box}>
        <Words>Nothing that comes on a roll is chosen for this room.</Words>
        <Button kind="main" label="Choose what is laid" onPress={onChoose} />
      </View>
    );
  return (
    <View style={styles.box} testID="rolls">
      <WorkingLine planned={planned} />
      {mine.length > 1 ? (
        <ButtonRow>
          {mine.map((one) => (
            <Button key={one.cardId} label={one.name} selected={one === of} onPress={() => onOf(one)} />
          ))}
        </ButtonRow>
      ) : null}
      {of ? <Material of={of} shown={shown} room={room} planned={planned} /> : null}
      <SchoolsFold shown={shown} schools={ROLL_SCHOOLS} title="How it is laid" />
      <FiguresFold shown={shown} figures={FIGURES_HERE} />
      {of ? <CutCard of={of} planned={planned} units={units} /> : null}
    </View>
  );
}

function Material({
  of,
  shown,
  room,
  planned,
}: {
  of: RollsOfJob;
  shown: ShownRoom;
  room: RoomFacts;
  planned: Planned;
}) {
  const palette = usePalette();
  const { units } = room;
  const here = of.rooms.find(({ roomId }) => roomId === room.id)!;
  const others = of.rooms.length - 1;
  const currency = shown.job?.currency ?? '';
  const piece = of.isBoards ? 'board' : 'roll';
  const hasSplit = room.lines.length > 0;
  const [across, along] = of.ways;
  const saved = across!.rolls - along!.rolls;
  // Tape is bought by the metre: centimetres of it say nothing.
  const tape = (m: number) => formatReach(Math.ceil(m * 10 - 1e-6) * 100, units);
  const [own, other] = here.runs === 'along' ? ['along', 'across'] : ['across', 'along'];
  return (
    <>
      <Words bold size="large" figure testID="rolls-count">
        {`${counted(of.rolls.length, piece)} of ${of.name.toLowerCase()}, ${formatReach(of.make.widthMm, units)} by ${formatReach(of.make.lengthMm, units)}`}
      </Words>
      <Words>{`${others === 0 ? 'For this room alone' : `For this room and ${others} more together`}; by area alone ${of.leastRolls} at least. ${moneyWords(of.cost, currency)} with tape.`}</Words>
      <Words>
        {`${of.of === 'film' ? 'Laps and joints' : 'Seams and joints'} to tape: ${tape(of.tapeM)}, ${counted(of.tapeRolls, 'roll')} of tape.`}
      </Words>
      <Words>{`Here the strips run ${own} the first wall, not ${other}. All across the planks: ${counted(across!.rolls, piece)}, ${tape(across!.tapeM)} of tape. All along them: ${counted(along!.rolls, piece)}, ${tape(along!.tapeM)}${saved === 0 ? '' : `, ${counted(Math.abs(saved), piece)} ${saved > 0 ? 'fewer' : 'more'}`}.`}</Words>
      <Words bold>{`Strips here, from the wall opposite the door`}</Words>
      {here.strips.map(({ number, lengthMm, widthMm, rolls }) => (
        <View key={number} style={styles.line}>
          <Words bold figure color={palette.chalk} style={styles.number}>
            {number}
          </Words>
          <Words bold figure>
            {formatReach(lengthMm, units)}
          </Words>
          <Words style={styles.grow} size="small">
            {`${of.isBoards ? counted(rolls.length, 'board') : `from roll ${rolls.join(' and ')}`}${widthMm < of.make.widthMm - 1 ? `, ripped to ${formatReach(widthMm, units)}` : ''}`}
          </Words>
        </View>
      ))}
      <Words size="small">
        {of.of === 'film'
          ? `Turn the film up every wall, ${formatReach(here.upturnMm, units)} of it, and cut it off after the skirting; tape every lap.${hasSplit ? ' Cut it at every joint of the floor: a joint that works would tear it.' : ''}`
          : of.isTacky
            ? 'Its face is tacky: draw its film back no more than an arm ahead of the planks; they cannot be slid on it.'
            : of.isBoards
              ? 'Butt the boards, their ends staggered from row to row; start each row with the rest of the one before.'
              : 'Butt the strips, never lap them; no wave, and no curl up a wall. Lay planks from the first strip on, and walk on planks.'}
      </Words>
      {of.offcuts.length > 0 ? (
        <Words>{`Keep ${of.offcuts.map(({ roll, lengthMm, areaM2 }) => `${formatReach(lengthMm, units)} of ${piece} ${roll} (${formatArea(areaM2, units)})`).join(', ')}.`}</Words>
      ) : null}
      {planned.rooms.length > of.rooms.length ? (
        <Words size="small" quiet>
          Rooms without a choice are not counted.
        </Words>
      ) : null}
    </>
  );
}

/** What is cut from which roll, over all rooms: for the van. */
function CutCard({ of, planned, units }: { of: RollsOfJob; planned: Planned; units: UnitSystem }) {
  const { save, failed } = useSaveFile();
  const nameOf = (roomId: string) => planned.rooms.find(({ room }) => room.id === roomId)?.room.name ?? roomId;
  return (
    <Fold title="Cut card for the van" aside={counted(of.rolls.length, of.isBoards ? 'board' : 'roll')}>
      {of.isBoards ? <Words>Boards that are laid whole are not listed.</Words> : null}
      {of.rolls.map(({ pieces, restMm }, k) =>
        of.isBoards && pieces.length === 1 && restMm < 1 ? null : (
          <Words key={k} figure>
            {`${of.isBoards ? 'Board' : 'Roll'} ${k + 1}: ${pieces.map((piece) => `${nameOf(piece.roomId)} ${piece.number}, ${formatReach(piece.lengthMm, units)}`).join('; ')}; rest ${formatReach(restMm, units)}`}
          </Words>
        ),
      )}
      <ButtonRow>
        <Button
          label="Save it as CSV"
          onPress={() =>
            save('rolls.csv', 'text/csv', ({ cutCsv }) =>
              cutCsv(
                of.rolls.flatMap(({ pieces }, k) =>
                  pieces.map((piece) => ({
                    material: of.name,
                    from: k + 1,
                    room: nameOf(piece.roomId),
                    number: piece.number,
                    lengthMm: piece.lengthMm,
                    widthMm: of.make.widthMm,
                  })),
                ),
              ),
            )
          }
        />
      </ButtonRow>
      {failed ? <Words role="alert">{failed}</Words> : null}
    </Fold>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  line: { flexDirection: 'row', gap: SPACE.part, alignItems: 'baseline', minHeight: 32 },
  number: { width: 32 },
  grow: { flex: 1 },
});
