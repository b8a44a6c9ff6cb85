import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { RoomFacts } from '@maquette/core/room';
import type { UnitSystem } from '@maquette/core/units';
import { bodyOf, KINDS } from '@maquette/facts';
import { outbox } from '../data/device.ts';
import { bringBack, copyOut, giveUp, heldThere, keep, removedAround, type RemovedAround } from '../data/settle.ts';
import type { Waiting } from '../data/waiting.ts';
import { makerWords, thisDevice } from '../data/who.ts';
import { SPACE } from '../theme/theme.tsx';
import { Button, ButtonRow } from '../ui/button.tsx';
import { Choice } from '../ui/choice.tsx';
import { counted } from '../ui/counted.ts';
import { Words } from '../ui/text.tsx';
import { ConflictDrawing } from './conflict-drawing.tsx';
import { conflictParts, mixed } from './conflict-parts.ts';
import { useTimes } from '../ui/shown-in.tsx';

/** The name a fact was given, where it has one. */
const called = ({ body }: Waiting) => (typeof body['name'] === 'string' && body['name'] ? ` “${body['name']}”` : '');

/** A fact that was changed here and there: part by part, with both values, and from which side each is to come. */
function Conflict({ one, last, units }: { one: Waiting; last: Waiting; units: UnitSystem }) {
  const { localTime } = useTimes();
  const [theirsOf, setTheirsOf] = useState<ReadonlySet<string>>(new Set());
  const [said, setSaid] = useState<string | null>(null);
  const there = heldThere(one.trouble!);
  const theirs = useMemo(() => (there ? { ...bodyOf(there) } : {}), [there]);
  const gone = !there || there.deletedAt !== null;
  const parts = useMemo(
    () => (gone || last.deleted ? [] : conflictParts(one.kind, last.body, theirs, units)),
    [gone, last, one.kind, theirs, units],
  );
  const several = parts.length > 1;
  const isMixed = parts.some(({ key }) => theirsOf.has(key)) && parts.some(({ key }) => !theirsOf.has(key));
  const title = `${KINDS[one.kind].words}${called(last)}`;
  const choose = (key: string, side: 'mine' | 'theirs') => {
    const next = new Set(theirsOf);
    if (side === 'theirs') next.add(key);
    else next.delete(key);
    setTheirsOf(next);
  };
  const send = async (body?: Record<string, unknown>) => setSaid(await keep(one, body));
  return (
    <View style={styles.one}>
      <Words bold>{`${title} changed on another device`}</Words>
      {gone || last.deleted ? (
        <Words>
          {!last.deleted
            ? 'Changed here, removed there.'
            : gone
              ? 'Removed here and there alike.'
              : `Removed here, changed there at ${localTime(there.updatedAt)}.`}
        </Words>
      ) : (
        <>
          {one.kind === 'rooms' && parts.some(({ words }) => /^(Outline|Opening|Fixture)/.test(words)) ? (
            // Both passed their class: the one here when it was entered, the one there when it was stored.
            <ConflictDrawing mine={last.body as RoomFacts} theirs={theirs as RoomFacts} />
          ) : null}
          {parts.map(({ key, words, rows }) => (
            <View key={key} style={styles.part}>
              {several ? <Words bold>{words}</Words> : null}
              {rows.map((row) => (
                <View key={row.field}>
                  {several && rows.length === 1 && row.field === words ? null : (
                    <Words size="small" quiet>
                      {row.field}
                    </Words>
                  )}
                  <Words figure>{`Here ${row.mine} · there ${row.theirs}`}</Words>
                </View>
              ))}
              {several ? (
                <Choice
                  label={`${words} as it is`}
                  inline
                  value={theirsOf.has(key) ? 'theirs' : 'mine'}
                  options={[
                    { value: 'mine', label: 'Here' },
                    { value: 'theirs', label: 'There' },
                  ]}
                  onChange={(side) => choose(key, side)}
                />
              ) : null}
            </View>
          ))}
          {parts.length === 0 ? <Words>Both say the same: either will do.</Words> : null}
          <Words size="small" quiet>
            {`Written ${makerWords(last.made ?? null, thisDevice.device())} at ${localTime(last.madeAt)}, ${makerWords(there.made, thisDevice.device())} at ${localTime(there.updatedAt)}.`}
          </Words>
        </>
      )}
      {said ? <Words role="alert">{said}</Words> : null}
      {isMixed ? (
        <Button
          kind="main"
          label="Keep what is chosen"
          onPress={() => void send(mixed(one.kind, last.body, theirs, theirsOf))}
        />
      ) : null}
      <ButtonRow>
        <Button kind={isMixed ? 'plain' : 'main'} label="Keep mine" onPress={() => void send()} />
        <Button label="Take theirs" onPress={() => void giveUp(one, `${title} as it is there`)} />
      </ButtonRow>
    </View>
  );
}

/** What the server would not take for another reason, in its words. */
function NotTaken({ one, last }: { one: Waiting; last: Waiting }) {
  const { localTime } = useTimes();
  const title = `${KINDS[one.kind].words}${called(last)}`;
  return (
    <View style={styles.one}>
      <Words bold>{`${title} not taken: ${one.trouble!.detail ?? one.trouble!.title}`}</Words>
      <Words
        size="small"
        quiet
      >{`Entered at ${localTime(last.madeAt)}. It is kept on this device until you decide.`}</Words>
      <ButtonRow>
        <Button kind="main" label="Send again" onPress={() => void outbox.retry(one.id)} />
        <Button label="Copy out" hint={title} onPress={() => copyOut([last])} />
        <Button label="Give up" hint={title} onPress={() => void giveUp(one, `${title} given up`)} />
      </ButtonRow>
    </View>
  );
}

/** All that was written in a room or job after somebody removed it. */
function InRemoved({ around, waiting }: { around: RemovedAround; waiting: readonly Waiting[] }) {
  const { localTime } = useTimes();
  const [said, setSaid] = useState<string | null>(null);
  const what = around.kind === 'rooms' ? 'room' : 'job';
  const { name, made, deletedAt } = around.fact;
  const ids = new Map(waiting.map((one) => [one.id, one]));
  return (
    <View style={styles.one}>
      <Words
        bold
      >{`The ${what} “${name}” was removed ${makerWords(made, thisDevice.device())} at ${localTime(deletedAt!)}`}</Words>
      <Words>{`${counted(ids.size, 'entry', 'entries')} of yours in it ${ids.size === 1 ? 'is' : 'are'} kept on this device only. Bring the ${what} back, and all that was in it is there again, yours with it.`}</Words>
      {said ? <Words role="alert">{said}</Words> : null}
      <ButtonRow>
        <Button
          kind="main"
          label={`Bring the ${what} back`}
          onPress={() => void bringBack(around, waiting).then(setSaid)}
        />
        <Button label="Copy out" hint={name} onPress={() => copyOut(waiting)} />
        <Button
          label="Give up"
          hint={`what was entered in ${name}`}
          onPress={() =>
            void [...ids.values()].reduce(
              (before, one) => before.then(() => giveUp(one, `Entry in ${name} given up`)),
              Promise.resolve(),
            )
          }
        />
      </ButtonRow>
    </View>
  );
}

/** What the server would not take: both values side by side, and the choice. Nothing is dropped without it. */
export function TroubleCards({ waiting, units }: { waiting: readonly Waiting[]; units: UnitSystem }) {
  const removed = new Map<string, { around: RemovedAround; writes: Waiting[] }>();
  const others: Waiting[] = [];
  for (const one of waiting) {
    if (!one.trouble) continue;
    const around = removedAround(one.trouble);
    if (!around) others.push(one);
    else {
      const before = removed.get(around.fact.id);
      if (before) before.writes.push(one);
      else removed.set(around.fact.id, { around, writes: [one] });
    }
  }
  return (
    <>
      {[...removed.values()].map(({ around, writes }) => (
        <InRemoved key={around.fact.id} around={around} waiting={writes} />
      ))}
      {others.map((one) => {
        const last = waiting.filter((w) => w.id === one.id).at(-1)!;
        return one.trouble!.status === 409 ? (
          <Conflict key={one.writeId} one={one} last={last} units={units} />
        ) : (
          <NotTaken key={one.writeId} one={one} last={last} />
        );
      })}
    </>
  );
}

const styles = StyleSheet.create({ one: { gap: SPACE.gap }, part: { gap: SPACE.near } });
