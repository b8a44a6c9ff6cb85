import { StyleSheet, View } from 'react-native';
import { useRouter } from 'expo-router';
import type { LayPlan } from '@maquette/core';
import { FIGURES, SETOUT_FIGURES, type FigureName } from '@maquette/core/figures';
import type { RoomFacts } from '@maquette/core/room';
import { formatArea } from '@maquette/core/units';
import type { Criterion } from '@maquette/core/verdict';
import type { ShownRoom } from '../../data/use-facts.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { fetched } from '../../ui/fetched.tsx';
import { Fold, FOLD_PX } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { CriteriaList, CriterionLine } from '../criteria-list.tsx';
import { FiguresFold } from '../figures-fold.tsx';
import type { NamedFigure } from '../named-figure.ts';
import { ChoicesFolds } from './choices-folds.tsx';
import { Kept } from './kept.tsx';
import { edgeRow, sawn } from './lengths.ts';
import { isProved, type LayPlanned } from './use-lay-plan.ts';

const CompareFold = fetched(() => import('./compare-fold.tsx').then((part) => part.CompareFold), FOLD_PX);
const KindsFold = fetched(() => import('./kinds-fold.tsx').then((part) => part.KindsFold), FOLD_PX);

const FIGURES_HERE = (Object.keys(SETOUT_FIGURES) as FigureName[])
  .filter((name) => !/^(glue|roller|dew)-/.test(name))
  .map((name): NamedFigure => [name, FIGURES[name]]);

/** How the planks lie, how many that takes, and how few it could take at all. */
export function SetOutTab({
  shown,
  room,
  planned,
  criteria,
  others,
  frames,
  onChalk,
  onBoxes,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  planned: LayPlanned;
  criteria: readonly Criterion[];
  /** What is open in the stages before. */
  others: readonly Criterion[];
  /** Feet of frames that are sawn before planks go under them. */
  frames: number;
  onChalk: () => void;
  onBoxes: () => void;
}) {
  const { plan } = planned;
  const router = useRouter();
  if (plan?.laidFrom)
    return (
      <View style={styles.box} testID="laid-from">
        <Words
          bold
        >{`This floor is laid in one with ${plan.laidFrom.name}: rows, lines and cuts of both stand there.`}</Words>
        <ButtonRow>
          <Button
            kind="main"
            label={`Open ${plan.laidFrom.name}`}
            onPress={() => router.push(`/rooms/${plan.laidFrom!.roomId}/lay`)}
          />
        </ButtonRow>
      </View>
    );
  return (
    <View testID="set-out">
      <CriteriaList criteria={criteria} />
      <View style={styles.box}>
        <MayBegin criteria={criteria} others={others} onBoxes={onBoxes} />
        {plan ? <Count plan={plan} planned={planned} room={room} /> : <NoPlan planned={planned} shown={shown} />}
        {plan ? (
          <ButtonRow>
            <Button
              kind="main"
              label={plan.herringbone ? 'Snap the middle line' : 'Snap the first line'}
              onPress={onChalk}
            />
          </ButtonRow>
        ) : null}
        {plan ? <Kept plan={plan} room={room} /> : null}
        {plan && frames > 0 ? (
          <Words>{`Saw ${counted(frames, 'foot', 'feet')} of door frames before the first row: Heights says how high over the base.`}</Words>
        ) : null}
        <ChoicesFolds shown={shown} room={room} plan={plan} />
        {plan ? <KindsFold kinds={plan.kinds} units={room.units} currency={shown.job?.currency ?? ''} /> : null}
        {plan && !plan.herringbone && !plan.mixed ? <CompareFold shown={shown} planned={planned} /> : null}
        <FiguresFold shown={shown} figures={FIGURES_HERE} />
      </View>
    </View>
  );
}

/** What is open before planks go down, in the order of the work. */
function MayBegin({
  criteria,
  others,
  onBoxes,
}: {
  criteria: readonly Criterion[];
  others: readonly Criterion[];
  onBoxes: () => void;
}) {
  const open = criteria.filter(({ verdict }) => verdict !== 'lay');
  if (others.length === 0 && criteria.length > 0 && open.length === 0)
    return <Words bold>Everything is ready: laying may begin.</Words>;
  return (
    <>
      {criteria.length === 0 ? (
        <ButtonRow>
          <Button label="Record the boxes" onPress={onBoxes} />
        </ButtonRow>
      ) : null}
      {others.length > 0 ? (
        <Fold title="Open before planks go down" aside={String(others.length)} open={false}>
          {others.map((one) => (
            <CriterionLine key={one.id} criterion={one} />
          ))}
        </Fold>
      ) : null}
    </>
  );
}

function NoPlan({ planned, shown }: { planned: LayPlanned; shown: ShownRoom }) {
  const { card } = shown;
  if (planned.failed) return <Words role="alert">{planned.failed}</Words>;
  if (card && ((card.plankLengthMm === null && card.mixedLengths.length === 0) || card.plankWidthMm === null))
    return (
      <Words
        bold
      >{`The card “${card.name}” does not say how long and how wide its planks are. Enter both on a copy of it.`}</Words>
    );
  return <Words role="status">Setting the floor out …</Words>;
}

/** Planks, and what stands beside the count: proved least, or not under so many. */
function Count({ plan, planned, room }: { plan: LayPlan; planned: LayPlanned; room: RoomFacts }) {
  const say = useSay();
  const { planks, least, herringbone, mixed, boxes, waste, plain } = plan;
  const atLeast = Math.max(least.longest, least.rows, least.area);
  const what = herringbone ? 'stave' : 'plank';
  const proof = isProved(plan)
    ? 'proved least'
    : mixed
      ? mixed.boxes === mixed.leastBoxes
        ? 'in the fewest boxes'
        : `by area not under ${counted(mixed.leastBoxes, 'box', 'boxes')}`
      : herringbone || plan.pattern !== 'stagger'
        ? `by area not under ${least.area}`
        : `not under ${atLeast}`;
  return (
    <View style={styles.part} testID="count">
      <Words bold size="title" figure testID="plank-count">{`${counted(planks, what)}, ${proof}`}</Words>
      <Words>
        {[
          boxes
            ? `${counted(boxes.boxes, 'box', 'boxes')} of ${boxes.inBox}, ${boxes.spare} spare in them`
            : 'the card does not say what a box covers',
          `${(waste * 100).toFixed(1)} % is cut away`,
          formatArea(plan.areaM2, room.units),
        ].join('; ')}
        .
      </Words>
      {herringbone ? (
        <Words>{`${herringbone.bought.left} left and ${herringbone.bought.right} right; ${herringbone.whole.left} and ${herringbone.whole.right} of them go down whole.${herringbone.border ? ` The border of ${counted(herringbone.border.rows, 'row')} takes ${counted(herringbone.border.planks, 'stave')} more.` : ''} Boxes of either hand are bought apart where they are sold apart.`}</Words>
      ) : mixed ? (
        <Words>
          {`Of each length: ${mixed.used.map((one) => `${one.planks} of ${sawn(one.lengthMm, room.units)}`).join(', ')}. `}
          {`First row ${edgeRow(plan.edges.firstMm, plan.firstMm, room.units)}; last row ${edgeRow(plan.edges.lastMm, plan.lastMm, room.units)}. About ${Math.max(1, Math.round(plan.minutes / 30) / 2)} h of laying and cutting for one.`}
        </Words>
      ) : (
        <Words>
          {`Beginning each row with the last off-cut takes ${plain.planks > planks ? plain.planks : plain.planks === planks ? 'as many' : `${plain.planks}, but`}${plain.broken > 0 ? `${plain.planks < planks ? ' ' : ' and '}brings joints too near in ${counted(plain.broken, 'row')}` : ''}. `}
          {`First row ${edgeRow(plan.edges.firstMm, plan.firstMm, room.units)}; last row ${edgeRow(plan.edges.lastMm, plan.lastMm, room.units)}. About ${Math.max(1, Math.round(plan.minutes / 30) / 2)} h of laying and cutting for one.`}
        </Words>
      )}
      {plan.through.length > 0 ? (
        <Words>{`Laid in one with ${plan.through.map(({ name }) => name).join(' and ')}.`}</Words>
      ) : null}
      <Words size="small">{`From ${say(plan.startWall.name)}: ${REASONS[plan.startWall.reason]}`}</Words>
      {planned.searching !== null ? (
        <View style={styles.line}>
          <Words
            role="status"
            style={styles.grow}
          >{`Looking for fewer: ${Math.round(planned.searching * 100)} %`}</Words>
          <Button label="Stop" onPress={planned.stop} />
        </View>
      ) : plan.pattern === 'stagger' && !isProved(plan) ? (
        <ButtonRow>
          <Button label="Look longer" onPress={planned.search} />
        </ButtonRow>
      ) : plan.pattern === 'stagger' ? (
        <View style={styles.line}>
          <Words>No layout of these rows takes fewer.</Words>
        </View>
      ) : null}
      {planned.failed ? <Words role="alert">{planned.failed}</Words> : null}
      <Fold title="How this is counted" memory={`lay-count/${room.id}`}>
        <Words size="small">
          {herringbone
            ? `Whole staves are counted by hand. Two cut pieces share a stave where they are of one hand, keep different ends, are cut at the same slope, and fit with the saw cut between them. By area ${least.area} is the least: floor over the area of one stave. The pattern was tried at six places along its axis.`
            : mixed
              ? `Boxes hold their planks as the card says; each plank that is laid is one of them. Fresh planks may begin a row uncut, only ends of rows are cut, and what they leave over begins another row. By area alone no layout takes fewer than ${counted(mixed.leastBoxes, 'box', 'boxes')}.`
              : `Every piece is cut from a plank that holds it with its lock and the saw cut; the list under Cut names each. Prices of lengths are found by which no plank is worth more than one, joints are kept apart as the card asks, and the floor is worth ${atLeast} by them: no layout of these rows takes fewer with each piece as long as the longest edge of its place, which is how this list cuts them. Whatever is made of what slants and notches leave over, none takes fewer than ${Math.max(least.rows, least.area)}; and by area alone no layout of any rows takes fewer than ${least.area}. What is cut away is what is bought less what lies, spare planks apart.`}
        </Words>
      </Fold>
    </View>
  );
}

const REASONS: Record<LayPlan['startWall']['reason'], string> = {
  chosen: 'the wall you chose.',
  light: 'planks then run away from the window.',
  joists: 'planks of wood then lie across the joists.',
  longest: 'the longest wall. Name the wall with the main window if planks should follow the light.',
};

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  part: { gap: SPACE.near },
  // It stays where the search was told: the folds below stay under the finger.
  line: { flexDirection: 'row', alignItems: 'center', gap: SPACE.part, minHeight: 48 },
  grow: { flex: 1 },
});
