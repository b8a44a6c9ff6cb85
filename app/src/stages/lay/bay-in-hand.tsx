import { StyleSheet, View } from 'react-native';
import type { LayPlan } from '@maquette/core';
import { figuresOf } from '@maquette/core/figures';
import type { RoomFacts } from '@maquette/core/room';
import { formatArea } from '@maquette/core/units';
import { bodyOf } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { useNowMs } from './use-now.ts';

const MINUTE_MS = 60_000;

/** The bay in hand by the clock: when laying begins, when the last plank must lie, when to roll, and when it is too late. */
export function BayInHand({
  shown,
  room,
  glue,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  glue: NonNullable<LayPlan['glue']>;
}) {
  const palette = usePalette();
  const times = useTimes();
  const now = useNowMs(1000);
  const { bays, work } = glue;
  const done = (bay: number) => shown.glueBays.findLast((one) => one.bay === bay);
  const open = bays.findIndex((_, k) => done(k + 1)?.laidAt == null);
  const k = open < 0 ? bays.length - 1 : open;
  const bay = bays[k]!;
  const held = done(k + 1);
  const rollerMin = figuresOf(shown.plain.figures, room.units)('roller-within-min');
  const at = (min: number) => {
    const from = held ? Date.parse(held.spreadAt) : now;
    return times.localTime(new Date(from + min * MINUTE_MS).toISOString()).slice(11);
  };
  const sinceMin = held ? (now - Date.parse(held.spreadAt)) / MINUTE_MS : 0;
  const put = (number: number, words: string, part: object) => {
    const before = done(number);
    void write(words, [
      {
        kind: 'glueBays',
        id: before?.id ?? newId(),
        roomId: room.id,
        body: {
          ...(before
            ? bodyOf(before)
            : { bay: number, spreadAt: nowUtc(), laidAt: null, rolledAt: null, isScraped: false }),
          ...part,
        },
      },
    ]);
  };
  const unrolled = shown.glueBays.filter((one) => one.laidAt !== null && one.rolledAt === null);
  const isLate = held?.laidAt === null && sinceMin > work.workingMin;
  return (
    <View style={styles.part} testID="bay">
      {open < 0 ? (
        <Words bold size="large">{`All ${bays.length} bays lie.`}</Words>
      ) : (
        <>
          <Words bold size="large" figure>
            {`Bay ${k + 1} of ${bays.length}: rows ${bay.fromRow + 1} to ${bay.fromRow + bay.rows}, ${formatArea(bay.areaM2, room.units)}`}
          </Words>
          {held ? (
            <Words figure bold size="title" color={palette.chalk}>
              {`${Math.floor(sinceMin)} min since it was begun`}
            </Words>
          ) : null}
          <Words figure>
            {`${held ? 'Spread by' : 'If you begin now: spread by'} ${at(bay.spreadMin)}, lay from ${at(bay.beginMin)}, done by ${at(bay.endMin)}; no plank later than ${at(work.workingMin)}.`}
          </Words>
          {isLate ? (
            <Words bold role="alert">
              The adhesive is too old for what is not laid: scrape it off and spread it anew.
            </Words>
          ) : held && sinceMin >= bay.beginMin ? (
            <Words bold role="status">
              Lay now.
            </Words>
          ) : held ? (
            <Words role="status">{`Wait until it is tacky: ${Math.ceil(bay.beginMin - sinceMin)} min more.`}</Words>
          ) : null}
          {held ? (
            <Button
              kind="main"
              label={`Bay ${k + 1} is laid`}
              onPress={() => put(k + 1, `Bay ${k + 1} laid`, { laidAt: nowUtc() })}
            />
          ) : (
            <Button
              kind="main"
              label={`Spread bay ${k + 1} now`}
              onPress={() => put(k + 1, `Bay ${k + 1} spread`, {})}
            />
          )}
          {isLate ? (
            <ButtonRow>
              <Button
                label="Scraped off, spread anew"
                onPress={() => put(k + 1, `Bay ${k + 1} scraped`, { isScraped: true, spreadAt: nowUtc() })}
              />
            </ButtonRow>
          ) : null}
        </>
      )}
      {unrolled.map((one) => {
        const lateMin = (now - Date.parse(one.laidAt!)) / MINUTE_MS - rollerMin;
        return (
          <View key={one.id} style={styles.part}>
            <Words bold={lateMin > 0} role={lateMin > 0 ? 'alert' : 'status'}>
              {lateMin > 0
                ? `Bay ${one.bay} was to be rolled ${Math.ceil(lateMin)} min ago: roll it now, and look for planks that do not hold.`
                : `Roll bay ${one.bay} both ways within ${Math.ceil(-lateMin)} min.`}
            </Words>
            <ButtonRow>
              <Button
                label={`Bay ${one.bay} is rolled both ways`}
                onPress={() => put(one.bay, `Bay ${one.bay} rolled`, { rolledAt: nowUtc() })}
              />
            </ButtonRow>
          </View>
        );
      })}
      <Fold title="All bays" aside={String(bays.length)} memory={`lay-bays/${room.id}`}>
        {bays.map((one, i) => (
          <Words key={i} figure size="small">
            {`${i + 1}: rows ${one.fromRow + 1} to ${one.fromRow + one.rows}, ${formatArea(one.areaM2, room.units)}; spread ${one.spreadMin.toFixed(0)} min, lay from ${one.beginMin.toFixed(0)} to ${one.endMin.toFixed(0)} min, oldest adhesive ${one.oldestMin.toFixed(0)} min`}
          </Words>
        ))}
        <Words size="small">
          {`One worker spreads and then lays. A bay is as wide as an arm reaches and holds if its oldest adhesive is under four fifths of the ${work.workingMin} min it takes planks, with ${work.tackMin} min until it is tacky${glue.isTested ? ', as your patch test found' : ', as the sheet has it'}.`}
        </Words>
      </Fold>
    </View>
  );
}

const styles = StyleSheet.create({ part: { gap: SPACE.near } });
