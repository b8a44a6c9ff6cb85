import { cautionSaid } from '@maquette/core/hazards';
import { capital } from '../../ui/capital.ts';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { Gate } from '@maquette/core/hazards';
import {
  facesOf,
  METHOD_SPECS,
  methodsFor,
  probeDepthMm,
  probeWaitH,
  qualifyingMethods,
  type DampContext,
  type DampMethod,
  type DampResult,
  type DampState,
  METHOD,
} from '@maquette/core/damp';
import { BASE, BASE_RANGES, type RoomFacts } from '@maquette/core/room';
import { formatReach } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { Button } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { bodyOf } from '@maquette/facts';
import { write } from '../../data/write.ts';
import { Fold } from '../../ui/fold.tsx';
import { OneField } from '../../form/one-field.tsx';
import { Words } from '../../ui/text.tsx';
import { useAnswers } from '../use-answers.ts';
import { GateAlert } from '../gate-alert.tsx';
import { Known } from './known.tsx';
import { ProbeFileKey } from './probe-file-key.tsx';
import { TestCard } from './test-card.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { SPACE } from '../../theme/theme.tsx';

interface Props {
  shown: ShownRoom;
  room: RoomFacts;
  damp: { ctx: DampContext; state: DampState };
  method: DampMethod;
  gate: Gate;
  onMethod: (method: DampMethod) => void;
  open: string | null;
  onOpen: (id: string | null) => void;
}

/** Tests listed before the rest is asked for. */
const SHOWN = 30;
const NONE: readonly DampResult[] = [];

/** Which test, how many, where and with what waiting; and the tests themselves. */
export function TestsTab({ shown, room, damp, method, gate, onMethod, open, onOpen }: Props) {
  const { localTime } = useTimes();
  const say = useSay();
  const answers = useAnswers(shown);
  const { ctx, state } = damp;
  const spec = METHOD_SPECS[method];
  const standing = state.methods.find((m) => m.method === method);
  const qualifying = qualifyingMethods(room.baseKind);
  const tests = ctx.facts.dampTests.filter((t) => t.method === method);
  const [show, setShow] = useState(SHOWN);
  const listed = tests.filter((test, i) => i < show || test.id === open);
  const byTest = useMemo(() => {
    const lists = new Map<string, DampResult[]>();
    for (const result of state.results) {
      const list = lists.get(result.test.id);
      if (list) list.push(result);
      else lists.set(result.test.id, [result]);
    }
    return lists;
  }, [state.results]);
  return (
    <View style={styles.box}>
      <Known shown={shown} room={room} ctx={ctx} />
      <Choice
        label="Method"
        inline
        value={method}
        options={methodsFor(room.baseKind).map((m) => ({
          value: m,
          label: say(METHOD_SPECS[m].words),
          ...(m === state.chosen ? { note: 'passes the floor' } : {}),
        }))}
        onChange={(chosen) => {
          onMethod(chosen);
          if (qualifying.includes(chosen) && chosen !== state.chosen)
            void answers.set(METHOD, chosen, `Method: ${say(METHOD_SPECS[chosen].words).toLowerCase()}`);
        }}
      />
      {!gate.allowed ? (
        <GateAlert shown={shown} room={room} gate={gate} title="Not made yet: it disturbs the floor" />
      ) : null}
      <View style={styles.guide} testID="guide">
        <Words bold>
          {standing ? need(standing.valid.length, standing.need.count, say(spec.words)) : say(spec.words)}
        </Words>
        {standing?.need.why.map((why) => (
          <Words key={say(why)} size="small">{`${capital(say(why))}.`}</Words>
        ))}
        {method === 'probe' ? (
          <Words size="small">
            {room.base.slabMm === null
              ? 'Depth: not known until the slab’s thickness is.'
              : `Depth: ${formatReach(probeDepthMm(room.base.slabMm, facesOf(ctx)), room.units)}, ${facesOf(ctx) === 1 ? '40 % of the slab, drying through one face' : '20 % of the slab, drying through both faces'}. Read after ${probeWaitH(ctx)} h in the sealed hole.`}
          </Words>
        ) : null}
        {room.base.slabMm === null && (method === 'probe' || method === 'carbide') ? (
          <OneField
            of={BASE.slabMm}
            value={null}
            units={room.units}
            label={say(BASE_RANGES.slabMm.words)}
            onTaken={(slabMm) =>
              write('Base: thickness', [
                {
                  kind: 'rooms',
                  id: room.id,
                  body: { ...bodyOf(shown.room!), base: { ...room.base, slabMm } },
                },
              ])
            }
          />
        ) : null}
        {standing?.limit ? (
          <Words size="small">{`Limit: ${standing.limit.value} ${say(spec.givesUnit)}. ${say(standing.limit.source)}.`}</Words>
        ) : (
          <Words size="small">It decides nothing by itself.</Words>
        )}
        <Fold title="How, and what it cannot tell">
          {spec.how.map((step, i) => (
            <Words key={say(step)}>{`${i + 1}. ${say(step)}.`}</Words>
          ))}
          <Words size="small">{`It tells: ${say(spec.tells)}`}</Words>
          <Words size="small">{say(spec.cannot)}</Words>
          {spec.caution ? (
            <Words size="small" bold>
              {say(spec.caution)}
            </Words>
          ) : null}
          {gate.cautions.map((c) => (
            <Words key={c.id} size="small">
              {say(cautionSaid(c))}
            </Words>
          ))}
          <Words size="small">Methods are never converted into each other: each is held against its own limit.</Words>
        </Fold>
      </View>
      {state.due.length > 0 ? (
        <View style={styles.due} testID="due">
          <Words bold>Due</Words>
          {state.due.map((due) => (
            <Words key={due.testId} size="small">
              {`${say(due.words)}: ${due.from > ctx.atUtc ? `from ${localTime(due.from)}` : 'may be read now'}${due.until ? `, until ${localTime(due.until)}` : ''}`}
            </Words>
          ))}
        </View>
      ) : null}
      {listed.map((test) => (
        <TestCard
          key={test.id}
          shown={shown}
          ctx={ctx}
          test={test}
          results={byTest.get(test.id) ?? NONE}
          limit={standing?.limit ?? null}
          open={open === test.id}
          onOpen={() => onOpen(open === test.id ? null : test.id)}
        />
      ))}
      {tests.length > listed.length ? (
        <Button
          label={`Show ${Math.min(SHOWN, tests.length - listed.length)} more tests`}
          hint={`${listed.length} of ${tests.length}; any is opened from the sheet`}
          onPress={() => setShow(show + SHOWN)}
        />
      ) : null}
      {tests.length === 0 && gate.allowed ? (
        <Words quiet size="small">
          {standing && standing.places.length > 0
            ? 'The rings on the sheet are where the next ones belong: touch one to set it there.'
            : 'None yet.'}
        </Words>
      ) : null}
      {method === 'probe' ? <ProbeFileKey shown={shown} room={room} ctx={ctx} /> : null}
    </View>
  );
}

function need(valid: number, count: number, words: string): string {
  const left = count - valid;
  return left > 0
    ? `${words}: ${valid} of ${count} read and valid, ${left} to go`
    : `${words}: ${valid} read and valid, ${count} needed`;
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  guide: { gap: SPACE.near },
  due: { gap: 2 },
});
