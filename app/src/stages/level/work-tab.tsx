import type { ReactNode } from 'react';
import { StyleSheet, View } from 'react-native';
import { figuresOf, type FigureOf } from '@maquette/core/figures';
import { bagsPerM2, grindingTask, isSpot, shimSteps, type Patch } from '@maquette/core/levelling';
import { isTimber, planOf, type RoomFacts } from '@maquette/core/room';
import type { Said } from '@maquette/core/said';
import {
  formatArea,
  formatGap,
  formatMass,
  formatVolume,
  roundTo,
  unitLabel,
  type UnitSystem,
} from '@maquette/core/units';
import { placeWords } from '@maquette/core/verdict';
import type { ShownRoom } from '../../data/use-facts.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Words } from '../../ui/text.tsx';
import { hoursWords } from '../amounts.ts';
import { areasOf } from './areas.ts';
import { Needs } from './needs.tsx';
import { Bays } from './bays.tsx';
import type { ShownWay } from './shown-ways.ts';
import { Spots } from './spots.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Button } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Touch } from '../../ui/touch.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  timber: boolean;
  way: ShownWay;
  /** What the base asks of every fill; null where nothing in particular. */
  caution: Said | null;
  chosen: string | null;
  onChoose: (label: string | null) => void;
  /** Goes to where panels are laid out, cut and fixed one by one. */
  onPanels: () => void;
  children?: ReactNode;
}

/** The chosen way as work: what to fill and to grind and how deep, bags, water, and a pour in its bays. */
export function WorkTab({ shown, room, timber, way, caution, chosen, onChoose, onPanels, children }: Props) {
  const say = useSay();
  const figure = figuresOf(shown.plain.figures, room.units);
  const { units } = room;
  const areas = areasOf(way);
  const places = areas.filter(({ area }) => !isSpot(area));
  const needs = way.way?.needs ?? way.plane?.needs ?? [];
  const fillL = way.way?.fillL ?? way.plane?.volumeL ?? 0;
  const primerL = way.way?.primerL ?? way.plane?.primerL ?? 0;
  const lead = needs[0];
  return (
    <View style={styles.box} testID="work">
      <Words bold size="large">
        {lead ? `${way.words}: buy ${counted(lead.bags, 'bag')}` : way.words}
      </Words>
      {way.id === 'panel' ? (
        <Words>{`Panels over the whole floor, ${hoursWords(way.hours)}: it comes up ${formatGap(way.riseMm, units)} ${unitLabel(units)}. Read it again after.`}</Words>
      ) : null}
      {way.id === 'panel' ? <Button kind="main" label="Lay the panels out on Under" onPress={onPanels} /> : null}
      {way.plane ? <Bays room={room} plane={way.plane} /> : null}
      <View role="list" accessibilityLabel="Places to work on" style={styles.list}>
        {places.map(({ area, what }) => (
          <AreaRow
            key={area.label}
            room={room}
            area={area}
            what={what}
            timber={timber}
            figure={figure}
            kgPerL={lead?.compound.kgPerM2Mm ?? 0}
            chosen={chosen === area.label}
            onPress={() => onChoose(chosen === area.label ? null : area.label)}
          />
        ))}
        <Spots room={room} spots={areas.filter(({ area }) => isSpot(area))} />
      </View>
      {areas.some(({ what }) => what === 'grind') ? (
        <Words size="small">
          {say(grindingTask(areas.find(({ what }) => what === 'grind')!.area, timber, figure).dust)}
        </Words>
      ) : null}
      {caution && fillL > 0 ? <Words bold>{say(caution)}</Words> : null}
      {needs.length > 0 ? <Needs needs={needs} units={units} /> : null}
      {lead && isTimber(room.baseKind) ? (
        <Words size="small">
          {`Stack at most ${counted(bagsPerM2(lead.compound.bagKg, figure), 'bag')} on a square metre of floor, near the walls and across the joists. A structural engineer decides about more.`}
        </Words>
      ) : null}
      {primerL > 0 ? (
        <Words
          figure
        >{`Primer: ${formatVolume(primerL, units)}, dry in ${roundTo(figure('primer-dry-h'), 0.1)} h`}</Words>
      ) : null}
      {timber && fillL > 0 ? (
        <Words size="small">
          {`On timber: stiffen what flexes first. Under a floating floor a shallow low may be made up with felt or card in steps instead: ${shimWords(way.way?.deepestFillMm ?? 0, units)} at its deepest.`}
        </Words>
      ) : null}
      {children}
    </View>
  );
}

/** `1, 2, 3 mm`: the steps a shim is built of. */
function shimWords(deepestMm: number, units: UnitSystem): string {
  const steps = shimSteps(deepestMm).map((mm) => formatGap(mm, units));
  return `${steps.join(', ') || `under ${formatGap(1, units)}`} ${unitLabel(units)}`;
}

function AreaRow({
  room,
  area,
  what,
  timber,
  figure,
  kgPerL,
  chosen,
  onPress,
}: {
  room: RoomFacts;
  area: Patch;
  what: 'fill' | 'grind';
  timber: boolean;
  figure: FigureOf;
  kgPerL: number;
  chosen: boolean;
  onPress: () => void;
}) {
  const say = useSay();
  const palette = usePalette();
  const { units } = room;
  const task = grindingTask(area, timber, figure);
  const verb = what === 'fill' ? 'Fill' : task.words;
  const more =
    what === 'fill'
      ? `${formatVolume(area.volumeL, units)}, ${formatMass(area.volumeL * kgPerL, units)}`
      : `${task.passes} pass${task.passes === 1 ? '' : 'es'}, ${hoursWords(task.hours)}`;
  return (
    <View role="listitem">
      <Touch
        aria-pressed={chosen}
        label={`${what === 'fill' ? 'Patch' : 'High'} ${area.label}`}
        onPress={onPress}
        style={[styles.row, { borderColor: chosen ? palette.chalk : palette.rule }]}
      >
        <View style={[styles.letter, { backgroundColor: what === 'fill' ? palette.low : palette.high }]}>
          <Words figure bold color={palette.onChalk}>
            {area.label}
          </Words>
        </View>
        <View style={styles.grow}>
          <Words
            bold
          >{`${say(verb)} up to ${formatGap(area.deepestMm, units)} ${unitLabel(units)}, mean ${formatGap(area.meanMm, units)}`}</Words>
          <Words size="small" quiet figure>
            {`${formatArea(area.areaM2, units)}, ${more}`}
          </Words>
          <Words size="small" quiet figure>
            {`Deepest ${say(placeWords(room, planOf(room), area.deepestAt))}`}
          </Words>
          {chosen && area.classes.length > 1 ? (
            <Words size="small" quiet figure>
              {`By depth: ${area.classes.map((c) => `${formatGap(c.fromMm, units)}–${formatGap(Math.min(c.toMm, area.deepestMm), units)} ${unitLabel(units)} ${formatArea(c.areaM2, units)}`).join(', ')}`}
            </Words>
          ) : null}
        </View>
      </Touch>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  list: { gap: 6 },
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: SPACE.part,
    borderWidth: 1,
    padding: SPACE.gap,
    minHeight: 56,
  },
  letter: { minWidth: 32, height: 32, paddingHorizontal: SPACE.near, alignItems: 'center', justifyContent: 'center' },
  grow: { flex: 1 },
});
