import { StyleSheet, View } from 'react-native';
import { BASE_WORDS, type BaseKind, type PointMm, type RoomFacts } from '@maquette/core/room';
import { SKIRTING_KIND, type Pack, type StripPlan, type TrimPiece, type TrimFate } from '@maquette/core/stripout';
import {
  formatBulk,
  formatGap,
  formatMass,
  formatMassPerArea,
  formatReach,
  gapWords,
  roundTo,
  type UnitSystem,
} from '@maquette/core/units';
import { newId } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { hoursWords, moneyWords } from '../amounts.ts';
import { FiguresFold } from '../figures-fold.tsx';
import { Steps } from './steps.tsx';
import { stripFigures } from './strip-figures.ts';
import { Found } from './found.tsx';
import { useAnswers } from '../use-answers.ts';
import { capital } from '../../ui/capital.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  plan: StripPlan;
  laidOver: BaseKind;
  pack: string | null;
  onPack: (key: string) => void;
  onSheet: 'cuts' | 'trim';
  onShow: (what: 'cuts' | 'trim') => void;
  marking: boolean;
  onMarking: (on: boolean) => void;
  onMark: (at: PointMm) => void;
}

/** Strip-out as work: what it takes, the steps in order, cuts, edges, debris; and what was found. */
export function PlanTab(props: Props) {
  const say = useSay();
  const { shown, room, plan, laidOver, pack, onPack, onSheet, onShow, marking, onMarking, onMark } = props;
  const palette = usePalette();
  const { units } = room;
  const currency = shown.job?.currency ?? '';
  const shownPack = plan.packs.find((p) => p.key === pack) ?? plan.packs[0];
  const open = plan.steps.filter((s) => s.doneAt === null).length;
  const undecided = plan.comparisons.filter((c) => c.chosen === null && !c.forced).length;
  if (plan.steps.length === 0) {
    return (
      <View style={styles.box}>
        <Words bold size="large">
          {undecided > 0 ? 'Nothing chosen yet' : 'Nothing to strip out'}
        </Words>
        <Words>
          {undecided > 0
            ? `${undecided} layer${undecided === 1 ? ' is' : 's are'} not decided: compare keeping, making good and taking up under Decide.`
            : `The planks will lie over: ${say(BASE_WORDS[laidOver]).toLowerCase()}.`}
        </Words>
        <Found shown={shown} room={room} marking={marking} onMarking={onMarking} onMark={onMark} />
        <FiguresFold shown={shown} figures={stripFigures(shown.plain.layers)} />
      </View>
    );
  }
  return (
    <View style={styles.box} testID="strip-plan">
      <Words bold size="large">
        {open === 0 ? 'All steps done' : `${open} step${open === 1 ? '' : 's'} to do`}
      </Words>
      <View style={styles.sums}>
        <Sum
          label="Hours"
          value={hoursWords(plan.hours)}
          aside={`${counted(roundTo(Math.max(0.1, plan.days), 0.1), 'day')}, crew`}
        />
        <Sum
          label="Debris"
          value={formatMass(plan.debris.massKg, units)}
          aside={formatBulk(plan.debris.volumeM3, units)}
        />
        <Sum label="Cost" value={moneyWords(plan.cost.total, currency)} aside="to compare" />
      </View>
      {shownPack?.cut ? (
        <View style={styles.cut}>
          {plan.packs.length > 1 ? (
            <Choice
              label="Cut plan on the sheet"
              inline
              value={shownPack.key}
              options={plan.packs.map((p) => ({ value: p.key, label: say(p.words) }))}
              onChange={onPack}
            />
          ) : null}
          {plan.trimOff ? (
            <Choice
              label="On the sheet"
              inline
              value={onSheet}
              options={[
                { value: 'cuts', label: 'Cuts and pieces' },
                { value: 'trim', label: 'Skirting labels' },
              ]}
              onChange={onShow}
            />
          ) : null}
          <CutWords pack={shownPack} units={units} />
        </View>
      ) : null}
      {plan.comparisons.length > 0 ? <SkirtingKind shown={shown} /> : null}
      <Steps shown={shown} plan={plan} />
      {plan.left.map((l) => (
        <Words key={l.key}>{`${say(l.words)}.`}</Words>
      ))}
      {plan.leftInPlace.length > 0 ? (
        <View style={[styles.warn, { backgroundColor: palette.highWash }]}>
          <Words bold>Stays in place, goes into the hand-over</Words>
          {plan.leftInPlace.map((words) => (
            <Words key={say(words)} size="small">{`${say(words)}.`}</Words>
          ))}
        </View>
      ) : null}
      {plan.trimOff ? <TrimFold shown={shown} trim={plan.trim} units={units} /> : null}
      <Fold title="Debris" aside={`${plan.debris.carries} carries`}>
        {plan.debris.kinds.map((kind) => (
          <Words
            key={say(kind.words)}
            figure
          >{`${say(kind.words)}: ${formatMass(kind.massKg, units)}, ${formatBulk(kind.volumeM3, units)}, ${counted(kind.bags, 'bag')}`}</Words>
        ))}
        <Words>{`${counted(plan.debris.bags, 'bag')}, or ${plan.debris.skips} skip${plan.debris.skips === 1 ? '' : 's'} within its weight limit. ${plan.debris.carries} carries of one person.`}</Words>
        <Words size="small" quiet>
          Mass: area × kg per m² of each layer. Volume: mass over loose density. Bags fill to weight or to the brim,
          whichever comes first.
        </Words>
      </Fold>
      <Fold title="Tools and hire" aside={moneyWords(plan.cost.hire, currency)}>
        {plan.hire.map((h) => (
          <Words
            key={say(h.words)}
            figure
          >{`${say(h.words)}: ${h.days} day${h.days === 1 ? '' : 's'}, ${moneyWords(h.cost, currency)}`}</Words>
        ))}
        {plan.tools.length > 0 ? <Words>{plan.tools.map(say).join(', ')}</Words> : null}
      </Fold>
      <Fold title="How the cost is made up" aside={moneyWords(plan.cost.total, currency)}>
        <Words figure>{`Labour ${hoursWords(plan.hours)}: ${moneyWords(plan.cost.labour, currency)}`}</Words>
        <Words figure>{`Disposal: ${moneyWords(plan.cost.disposal, currency)}`}</Words>
        <Words figure>{`Hire: ${moneyWords(plan.cost.hire, currency)}`}</Words>
        <Words figure>{`Making good, bars and beads: ${moneyWords(plan.cost.making, currency)}`}</Words>
        <Words size="small" quiet>
          Hours: each step’s area or length by its rate, one person; days divide them by the crew and the working day.
          Labour: hours by the hour’s price. Every rate and price stands below with where it comes from.
        </Words>
      </Fold>
      <Found shown={shown} room={room} marking={marking} onMarking={onMarking} onMark={onMark} />
      <Words>{`The planks will lie over: ${say(BASE_WORDS[laidOver]).toLowerCase()}.`}</Words>
      <FiguresFold shown={shown} figures={stripFigures(shown.plain.layers)} />
    </View>
  );
}

function Sum({ label, value, aside }: { label: string; value: string; aside: string }) {
  return (
    <View style={styles.sum}>
      <Words size="small" quiet>
        {label}
      </Words>
      <Words figure bold size="large">
        {value}
      </Words>
      <Words figure size="small" quiet>
        {aside}
      </Words>
    </View>
  );
}

/** The cuts in words and figures, with where each figure comes from. */
function CutWords({ pack, units }: { pack: Pack; units: UnitSystem }) {
  const say = useSay();
  const palette = usePalette();
  const cut = pack.cut!;
  const side = formatReach(cut.limits.longMm, units);
  return (
    <View style={{ gap: SPACE.near }} testID="cut-plan">
      <Words bold>{`${counted(cut.pieces.length, 'piece')}, heaviest ${formatMass(cut.heaviestKg, units)}`}</Words>
      <Words
        figure
      >{`${pack.saw ? 'Saw' : 'Cut'} ${formatReach(cut.sawMm, units)}${cut.seamMm > 0 ? `, ${formatReach(cut.seamMm, units)} along known seams` : ''}${cut.undercutMm > 0 ? `, undercut ${formatReach(cut.undercutMm, units)} at cabinets` : ''}`}</Words>
      {pack.saw ? (
        <Words
          figure
          bold
        >{`Saw depth ${gapWords(pack.saw.depthMm, units)}: ${formatGap(pack.saw.layersMm, units)} of layers and ${formatGap(pack.saw.allowanceMm, units)}`}</Words>
      ) : null}
      {[...(pack.saw?.warnings ?? []), ...(pack.saw?.stop ? [pack.saw.stop] : [])].map((warning) => (
        <Words key={say(warning)} color={palette.verdict.stop}>{`${say(warning)}.`}</Words>
      ))}
      <Words size="small" quiet>
        {`No side over ${side}${cut.limits.shortMm < cut.limits.longMm ? ` by ${formatReach(cut.limits.shortMm, units)}` : ''}, no piece over ${formatMass(cut.limits.massKg, units)} at ${formatMassPerArea(cut.limits.kgPerM2, units)}. Nothing stays threaded on a pipe.`}
      </Words>
    </View>
  );
}

const SKIRTING_WORDS = { wood: 'wood or board', tile: 'tile', none: 'none' } as const;

/** What the skirting is of decides whether it can be levered off. */
function SkirtingKind({ shown }: { shown: ShownRoom }) {
  const answers = useAnswers(shown);
  return (
    <Choice
      label="Skirting here"
      inline
      value={answers.to(SKIRTING_KIND) ?? 'wood'}
      options={(Object.keys(SKIRTING_WORDS) as (keyof typeof SKIRTING_WORDS)[]).map((value) => ({
        value,
        label: capital(SKIRTING_WORDS[value]),
      }))}
      onChange={(kind) => void answers.set(SKIRTING_KIND, kind, `Skirting: ${SKIRTING_WORDS[kind]}`)}
    />
  );
}

function TrimFold({ shown, trim, units }: { shown: ShownRoom; trim: readonly TrimPiece[]; units: UnitSystem }) {
  const turn = (label: string, fate: TrimFate['fate']) => {
    const held = shown.plain.trimFates.findLast(({ piece }) => piece === label);
    return write(`${label}: ${fate}`, [
      {
        kind: 'trimFates',
        id: held?.id ?? newId(),
        roomId: shown.room!.id,
        body: { piece: label, fate, note: held?.note ?? '' },
      },
    ]);
  };
  const discarded = trim.filter((t) => t.fate === 'discard').length;
  return (
    <Fold title="Skirting, piece by piece" aside={`${counted(trim.length, 'piece')}, ${discarded} discarded`}>
      {trim.map((piece) => (
        <View key={piece.label} style={styles.line}>
          <Words figure bold style={styles.tag}>
            {piece.label}
          </Words>
          <Words figure style={styles.grow}>
            {formatReach(piece.lengthMm, units)}
          </Words>
          <Button
            label={piece.fate === 'refit' ? 'Refit' : 'Discard'}
            hint={`${piece.label}: change to ${piece.fate === 'refit' ? 'discard' : 'refit'}`}
            onPress={() => void turn(piece.label, piece.fate === 'refit' ? 'discard' : 'refit')}
            style={styles.small}
          />
        </View>
      ))}
    </Fold>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  sums: { flexDirection: 'row', gap: SPACE.part },
  sum: { flex: 1 },
  cut: { gap: SPACE.gap },
  warn: { padding: SPACE.part, gap: SPACE.near },
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part },
  tag: { width: 52 },
  grow: { flex: 1 },
  small: { flexGrow: 0, minWidth: 96 },
});
