import { StyleSheet, View } from 'react-native';
import type { PanelsOfRoom, UnderOfRoom } from '@maquette/core';
import { FIGURES, figuresOf, UNDER_FIGURES, type FigureName } from '@maquette/core/figures';
import { SEAMS_KNOWN } from '@maquette/core/under/questions';
import { isTimber, type RoomFacts } from '@maquette/core/room';
import { formatReach, gapWords } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { moneyWords } from '../amounts.ts';
import { FiguresFold } from '../figures-fold.tsx';
import type { NamedFigure } from '../named-figure.ts';
import { useAnswers } from '../use-answers.ts';
import { FixingFold } from './fixing-fold.tsx';
import { NextPanel } from './next-panel.tsx';
import { PanelCuts } from './panel-cuts.tsx';
import { takeChoice } from './take-option.ts';
import type { Planned } from './planned.ts';
import { WorkingLine } from './working-line.tsx';

const FIGURES_HERE = (Object.keys(UNDER_FIGURES) as FigureName[])
  .filter((name) => /^(panel|fixing)-/.test(name))
  .map((name): NamedFigure => [name, FIGURES[name]]);

const RULES = {
  'long-seam': 'over a seam of the base',
  'end-seam': 'over the end of a panel of the base',
  ends: 'next to an end in the neighbouring row',
  small: 'a piece smaller than asked',
} as const;

/** Panels over a timber base: which card, how they lie, one after another with two tapes, cuts and fixings. */
export function PanelsTab({
  shown,
  room,
  under,
  planned,
  at,
  onAt,
  onRoom,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  under: UnderOfRoom;
  planned: Planned;
  at: number;
  onAt: (index: number) => void;
  onRoom: () => void;
}) {
  const say = useSay();
  const of = planned.plan?.panels.find(({ rooms }) => rooms.some(({ roomId }) => roomId === room.id)) ?? null;
  const here = of?.rooms.find(({ roomId }) => roomId === room.id) ?? null;
  const cards = under.cards.panels;
  const chosenId = under.choice?.panelId ?? null;
  const standH = figuresOf(shown.plain.figures, room.units)('panel-stand-h');
  const choose = (panelId: string | null, name: string) =>
    void write(panelId ? `Panels: ${name}` : 'No panels', takeChoice(shown, under.cards, { panelId }));
  if (!isTimber(room.baseKind))
    return (
      <View style={styles.box}>
        <Words>Panels are fixed over boards and panels on joists. This base is none of them.</Words>
        <Button label="Correct the base on Room" onPress={onRoom} />
      </View>
    );
  return (
    <View style={styles.box} testID="panels">
      <Fold title="Which panels" aside={under.panel?.name ?? 'none'} open={!chosenId} memory={`panels/${room.id}`}>
        <ButtonRow>
          <Button label="No panels" selected={chosenId === null} onPress={() => choose(null, '')} />
          {cards.map(({ id, name }) => (
            <Button key={id} label={name} selected={id === chosenId} onPress={() => choose(id, name)} />
          ))}
        </ButtonRow>
        <Words size="small">
          Panels even out boards that are sound but uneven in the short span. They cure no long low, no loose board and
          no damp: those come first.
        </Words>
      </Fold>
      {under.panelStops.length > 0 ? (
        <View style={styles.part} testID="panel-stops">
          <Words bold>No panels are planned here yet.</Words>
          {under.panelStops.map((stop, k) => (
            <Words key={k}>{say(stop)}</Words>
          ))}
        </View>
      ) : chosenId ? (
        <WorkingLine planned={planned} />
      ) : null}
      {under.panelStops.length === 0 && of && here ? (
        <>
          <Words bold size="large" figure testID="panels-count">
            {`${counted(of.sheets.length, 'sheet')} of ${of.card.name.toLowerCase()}`}
          </Words>
          <Words>{`${of.rooms.length > 1 ? `For ${of.rooms.length} rooms together` : 'For this room'}; by area alone ${of.leastSheets} at least. ${counted(of.cuts, 'cut')}, ${moneyWords(of.cost, shown.job?.currency ?? '')}.`}</Words>
          <NextPanel shown={shown} room={room} here={here} at={at} onAt={onAt} />
          <Kept here={here} room={room} onRoom={onRoom} />
          {here.seamsUnknown === null ? <SeamsKnown shown={shown} /> : null}
          <FixingFold shown={shown} room={room} of={of} here={here} />
          <PanelCuts of={of} planned={planned} units={room.units} />
          <Words size="small">
            {`Panels stand in the room for ${standH} h first, apart, so that air reaches both faces. Fix the row farthest from the door first, from one edge outward, standing on the panel. ${of.card.hasDimples ? 'Fix at the dimples and fill them with the heads.' : 'Sink heads just under the face and fill them.'} Fill the joints, ${formatReach(here.seamsM * 1000, room.units)} of them, and sand them off.`}
          </Words>
        </>
      ) : null}
      <FiguresFold shown={shown} figures={FIGURES_HERE} />
    </View>
  );
}

/** How anybody knows where the seams of the base are: taped ones can be trusted, screw lines are looked at once more. */
function SeamsKnown({ shown }: { shown: ShownRoom }) {
  const answers = useAnswers(shown);
  const known = answers.to(SEAMS_KNOWN) ?? 'unknown';
  return (
    <View style={styles.part}>
      <Choice
        label="How are the seams of the base known?"
        inline
        value={known}
        options={[
          { value: 'unknown', label: 'Not said' },
          { value: 'taped', label: 'Seen and taped' },
          { value: 'screw-lines', label: 'By screw lines' },
        ]}
        onChange={(value) => void answers.set(SEAMS_KNOWN, value, 'Seams of the base')}
      />
      {known === 'taped' ? null : (
        <Words size="small">
          Two lines of screws close together are a seam; a single line is a joist. Prove one with a blade before the
          first panel is fixed.
        </Words>
      )}
    </View>
  );
}

/** Which rules the layout keeps, and where it cannot. */
function Kept({ here, room, onRoom }: { here: PanelsOfRoom; room: RoomFacts; onRoom: () => void }) {
  const say = useSay();
  const { units } = room;
  return (
    <View style={styles.part}>
      {here.directionUnknown ? (
        <>
          <Words>Which way the joists run is not known: the panels are drawn along the first wall.</Words>
          <Button label="Say so on Room" onPress={onRoom} />
        </>
      ) : null}
      {here.seamsUnknown === 'not-recorded' ? (
        <>
          <Words>The seams of the base are not recorded: find them by their screw lines and tape one of them.</Words>
          <Button label="Enter them on Room" onPress={onRoom} />
        </>
      ) : here.seamsUnknown === 'boards' ? (
        <Words size="small">
          Boards are narrower than any seam could be kept from: the panels lie across them, and their ends are
          staggered.
        </Words>
      ) : null}
      {here.breaks.length === 0 ? (
        <Words>Every seam keeps its distance, ends are staggered, and no piece is too small.</Words>
      ) : (
        here.breaks.map((broken, k) => (
          <Words
            key={k}
          >{`Row ${broken.row + 1}: ${gapWords(broken.shortMm, units)} less than asked, ${RULES[broken.rule]}, over ${formatReach(broken.overMm, units)}, ${broken.tapes.map(({ distanceMm, name }) => `${formatReach(distanceMm, units)} from ${say(name)}`).join(' and ')}. No layout that was tried keeps it.`}</Words>
        ))
      )}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  part: { gap: SPACE.near },
  line: { flexDirection: 'row', gap: SPACE.part, alignItems: 'baseline' },
  grow: { flex: 1 },
});
