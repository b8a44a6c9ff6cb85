import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { LeastAnswer, RoomSet } from '@maquette/core';
import type { HeightsChoice } from '@maquette/core/heights';
import { SHIPPED_CARDS, type CoveringCard } from '@maquette/core/coverings';
import { figuresOf } from '@maquette/core/figures';
import { fixtureName, openingName } from '@maquette/core/room';
import { formatVolume, gapWords, type UnitSystem } from '@maquette/core/units';
import { nowUtc } from '../data/ids.ts';
import { write } from '../data/write.ts';
import { moneyWords } from '../stages/amounts.ts';
import { SPACE, usePalette } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Fold } from '../ui/fold.tsx';
import { counted } from '../ui/counted.ts';
import { useSay, type Say } from '../ui/shown-in.tsx';
import { Words } from '../ui/text.tsx';
import { useDesk } from '../worker/use-judged.ts';
import { takenChoice } from './taken-choice.ts';
import type { RoomOfJob } from './use-job-heights.ts';

interface Props {
  rooms: readonly RoomOfJob[];
  /** Cards of the job’s book. */
  cards: readonly CoveringCard[];
  currency: string;
  units: UnitSystem;
}

/** What to lay and where to pour so that the steps of the whole job cost least: worked out on asking, the best three side by side. */
export function LeastTab({ rooms, cards, currency, units }: Props) {
  const say = useSay();
  const desk = useDesk();
  const [working, setWorking] = useState<number | null>(null);
  const [found, setFound] = useState<{ of: readonly RoomSet[]; answer: LeastAnswer } | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const [taken, setTaken] = useState<number | null>(null);
  const sets = rooms.map(({ set }) => set);
  const [also, setAlso] = useState<readonly string[]>([]);
  const offered = [...cards, ...SHIPPED_CARDS];
  const unpriced = [...new Set(sets.flatMap(({ card }) => (card.costM2 === null ? [card.name] : [])))];
  const toggle = (id: string) => {
    setAlso(also.includes(id) ? also.filter((one) => one !== id) : [...also, id]);
    setFound(null);
  };
  const same = found !== null && found.of.length === sets.length && found.of.every((set, k) => set === sets[k]);
  useEffect(() => () => desk.stop(), [desk]);
  const ask = () => {
    setWorking(0);
    setFailed(null);
    setTaken(null);
    desk.ask(
      {
        kind: 'least',
        rooms: sets,
        coverings: offered.filter(({ id }) => also.includes(id)),
        atUtc: nowUtc(),
      },
      (answer, reason) => {
        setWorking(null);
        setFailed(reason);
        if (answer) setFound({ of: sets, answer });
      },
      'now',
      ({ share }) => setWorking(share),
    );
  };
  const nameOf = (roomId: string) => rooms.find(({ set }) => set.room.id === roomId)?.set.room.name ?? '';
  const take = async (choice: HeightsChoice, answer: LeastAnswer, index: number) => {
    const written = await write('Chosen for the whole job', takenChoice(choice, answer, rooms));
    if (written.ok) setTaken(index);
    else setFailed(written.problems[0]?.message ?? null);
  };
  return (
    <View style={styles.box} testID="least">
      <Words>
        Which underlay, panel and pour in each room, and whether the old floor stays, so that bars, ramps and cut doors
        over the whole job cost least. First the fewest steps that no bar takes, then money.
      </Words>
      <Fold
        title="Other coverings that may be laid"
        aside={also.length === 0 ? 'none: each room keeps its own' : counted(also.length, 'covering')}
      >
        <Words size="small">
          Press each that the client would take. It is tried wherever damp allows it, with the levelling its own rule
          asks, at the price on its card.
        </Words>
        {unpriced.length > 0 ? (
          <Words size="small">{`Nobody has said what a square metre of ${unpriced.join(', ')} costs: a room with it keeps it. Say so on its card.`}</Words>
        ) : null}
        <ButtonRow>
          {offered.map(({ id, name, costM2 }) => (
            <Button
              key={id}
              label={costM2 === null ? name : `${name}, ${moneyWords(costM2, currency)} a square metre`}
              selected={also.includes(id)}
              off={costM2 === null ? 'What it costs is not on its card.' : null}
              onPress={() => toggle(id)}
            />
          ))}
        </ButtonRow>
      </Fold>
      <ButtonRow>
        {working === null ? (
          <Button kind="main" label={found ? 'Work it out again' : 'Work it out'} onPress={ask} />
        ) : (
          <Button
            label="Stop"
            onPress={() => {
              desk.stop();
              setWorking(null);
              setFailed('Stopped. Nothing was changed.');
            }}
          />
        )}
      </ButtonRow>
      {working === null ? null : <Words>{`Working it out, ${Math.round(working * 100)} % …`}</Words>}
      {failed ? <Words role="alert">{failed}</Words> : null}
      {found ? (
        <>
          {found.answer.unread.length > 0 ? (
            <Words size="small">{`Not read yet, and left out: ${found.answer.unread.map(nameOf).join(', ')}.`}</Words>
          ) : null}
          {found.answer.hopeless.map(({ id, roomId }) => (
            <Words key={id} bold>
              {`${nameOf(roomId)}: ${hopelessWords(id, rooms, say)} cannot be kept by anything that may be laid there. It is left out here; read on Heights who decides.`}
            </Words>
          ))}
          {!same && taken === null ? (
            <Words bold>Something in the job has changed since: work it out again.</Words>
          ) : null}
          {found.answer.choices.length === 0 ? (
            <Words bold>
              No choice keeps every bay, sill, stair, guard, weight and fire door. Lift a limit on Heights, or read more
              rooms.
            </Words>
          ) : null}
          {found.answer.choices.map((choice, index) => (
            <ChoiceCard
              key={index}
              number={index + 1}
              choice={choice}
              answer={found.answer}
              rooms={rooms}
              cards={offered}
              currency={currency}
              units={units}
              taken={taken === index}
              off={same || taken !== null ? null : 'Something has changed since it was worked out.'}
              onTake={() => void take(choice, found.answer, index)}
            />
          ))}
        </>
      ) : null}
    </View>
  );
}

const CLASS_WORDS = ['flat bar', 'T on a wedge', 'reducer', 'ramp or threshold'];

/** What stops a room, in words: a bay, a sill, a stair, a guard, or a leaf and the gap beneath it. */
function hopelessWords(id: string, rooms: readonly RoomOfJob[], say: Say): string {
  const [kind, of] = id.includes('/') ? (id.split('/') as [string, string]) : ['', id];
  for (const { set } of rooms) {
    const opening = set.room.openings.find((one) => one.id === of);
    const fixture = set.room.fixtures.find((one) => one.id === of);
    if (opening) {
      const name = say(openingName(set.room, opening));
      return `${OPENING_LIMITS[kind] ?? 'the leaf of'} the ${name}`;
    }
    if (fixture) return `the bay of the ${say(fixtureName(fixture)).toLowerCase()}`;
  }
  return 'the height of a guard';
}

const OPENING_LIMITS: Record<string, string> = {
  sill: 'the sill of',
  stair: 'the risers at',
  guard: 'the guard at',
  fire: 'the gap under the fire leaf of',
};

function ChoiceCard({
  number,
  choice,
  answer,
  rooms,
  cards,
  currency,
  units,
  taken,
  off,
  onTake,
}: {
  number: number;
  choice: HeightsChoice;
  answer: LeastAnswer;
  rooms: readonly RoomOfJob[];
  cards: readonly CoveringCard[];
  currency: string;
  units: UnitSystem;
  taken: boolean;
  off: string | null;
  onTake: () => void;
}) {
  const say = useSay();
  const palette = usePalette();
  const gap = choice.cost - choice.boundCost;
  const proved = gap <= 1e-3 * Math.max(1, choice.cost);
  const rules = figuresOf(rooms[0]?.set.figures ?? [], units);
  return (
    <View style={[styles.card, { borderColor: taken ? palette.chalk : palette.rule }]}>
      <Words bold size="large">{`${number}: ${moneyWords(choice.cost, currency)}`}</Words>
      <Words size="small" quiet>
        {proved
          ? 'Proved: nothing that differs from the ones above costs less.'
          : `Nothing can cost less than ${moneyWords(choice.boundCost, currency)}.`}
      </Words>
      {choice.rooms.map(({ roomId, systemId, pourMm, litres }) => {
        const of = answer.rooms.find((room) => room.roomId === roomId);
        const system = of?.systems.find(({ id }) => id === systemId);
        const set = rooms.find((room) => room.set.room.id === roomId)?.set;
        if (!of || !system || !set) return null;
        const { underlayMm, panelMm } = system.buildUp;
        const parts = [
          system.cardId === set.card.id ? '' : (cards.find(({ id }) => id === system.cardId)?.name ?? ''),
          system.keeps === null ? '' : system.keeps ? 'keep the old floor' : 'take the old floor up',
          panelMm > 0 ? `panel ${gapWords(panelMm, units)}` : '',
          underlayMm === null ? '' : `underlay ${gapWords(underlayMm, units)}`,
          pourMm === null
            ? 'no pour'
            : `pour ${gapWords(pourMm - of.pourAtMm - of.topMm, units)} over the highest place, ${formatVolume(litres, units)}`,
        ].filter((words) => words !== '');
        return <Words key={roomId}>{`${set.room.name}: ${parts.join(', ')}.`}</Words>;
      })}
      {choice.openings.map(({ openingId, stepClass, worstMm }) => {
        const set = rooms.find((room) => room.set.room.openings.some(({ id }) => id === openingId))?.set;
        const opening = set?.room.openings.find(({ id }) => id === openingId);
        return set && opening ? (
          <Words key={openingId} size="small">
            {`${set.room.name}, ${say(openingName(set.room, opening))}: ${gapWords(worstMm, units)}, ${CLASS_WORDS[stepClass] ?? ''}.`}
          </Words>
        ) : null;
      })}
      {choice.trimmed.length > 0 ? (
        <Words size="small">{`${counted(choice.trimmed.length, 'leaf', 'leaves')} cut, ${rules('leaf-trim-h')} h each.`}</Words>
      ) : null}
      <Button
        label={taken ? 'Taken for the job' : 'Take this one'}
        hint={`Choice ${number}`}
        selected={taken}
        off={taken ? null : off}
        onPress={onTake}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  card: { borderWidth: 1, padding: SPACE.part, gap: SPACE.near },
});
