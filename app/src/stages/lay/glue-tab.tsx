import { StyleSheet, View } from 'react-native';
import type { GlueZone, LayPlan, LayState } from '@maquette/core';
import { FIGURES, figuresOf, SETOUT_FIGURES, type FigureName } from '@maquette/core/figures';
import type { RoomFacts } from '@maquette/core/room';
import { formatArea, formatMass, formatTemperatureSpan, gapWords } from '@maquette/core/units';
import { bodyOf } from '@maquette/facts';
import { newId, nowUtc } from '../../data/ids.ts';
import type { ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { SPACE, usePalette } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { useSay, useTimes } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { FiguresFold } from '../figures-fold.tsx';
import type { NamedFigure } from '../named-figure.ts';
import { BayInHand } from './bay-in-hand.tsx';
import { useNowMs } from './use-now.ts';

const FIGURES_HERE = (Object.keys(SETOUT_FIGURES) as FigureName[])
  .filter((name) => /^(glue|roller|dew)-/.test(name))
  .map((name): NamedFigure => [name, FIGURES[name]]);

/** Adhesive: tried in every zone first, then spread bay by bay by the clock. */
export function GlueTab({
  shown,
  room,
  plan,
  state,
}: {
  shown: ShownRoom;
  room: RoomFacts;
  plan: LayPlan | null;
  state: LayState | null;
}) {
  const { units } = room;
  const figure = figuresOf(shown.plain.figures, units);
  const glue = plan?.glue ?? null;
  const isTried = state?.zones.every(({ test }) => test === 'held') ?? false;
  return (
    <View style={styles.box} testID="glue">
      {state?.zones.map((zone) => (
        <Zone key={zone.id} shown={shown} zone={zone} />
      ))}
      {state && state.dewMarginK !== null ? (
        <Words>
          {`The base is ${formatTemperatureSpan(state.dewMarginK, units)} over the dew point; ${formatTemperatureSpan(figure('dew-margin-k'), units)} are asked.`}
        </Words>
      ) : (
        <Words>
          Read the surface of the base with the air on Damp: nothing is spread on a base near its dew point.
        </Words>
      )}
      {glue && glue.bays.length > 0 ? (
        isTried ? (
          <BayInHand shown={shown} room={room} glue={glue} />
        ) : (
          <Words bold>The bays are shown once a strip has held in every zone.</Words>
        )
      ) : glue ? (
        <Words bold role="alert">
          Not even one row can be spread and laid before the adhesive is too old. Take a slower adhesive, a second pair
          of hands, or start at a wall that makes shorter rows.
        </Words>
      ) : null}
      {glue && !glue.endsAtExit ? (
        <Words bold role="alert">
          The rows end away from the way in: whoever lays the last bay is shut in. Start at the wall across, under Set
          out.
        </Words>
      ) : null}
      {glue ? (
        <Words>
          {`${formatMass(glue.kg, units)} of adhesive for ${formatArea(plan!.areaM2, units)}, with a notch of ${gapWords(figure('glue-notch-mm'), units)}. Hold the trowel at 60 degrees and change it when its teeth are worn. Roll with ${formatMass(figure('roller-kg'), units)}, along and across, within ${figure('roller-within-min')} min.`}
        </Words>
      ) : null}
      <Words size="small">
        Air the room and wear gloves: fresh adhesive gives off solvent or sets on skin. Keep one way out open; the last
        bay is laid from outside, or from planks that may bear feet.
      </Words>
      <FiguresFold shown={shown} figures={FIGURES_HERE} />
    </View>
  );
}

/** A zone of the base with its patch test: begun, tacky, and pulled up the day after. */
function Zone({ shown, zone }: { shown: ShownRoom; zone: GlueZone }) {
  const say = useSay();
  const times = useTimes();
  const palette = usePalette();
  const now = useNowMs();
  const held = shown.glueTests.findLast((one) => one.zone === zone.id);
  const minutes = held ? Math.max(1, Math.round((now - Date.parse(held.begunAt)) / 60_000)) : 0;
  const put = (words: string, part: object) =>
    void write(words, [
      {
        kind: 'glueTests',
        id: held && zone.test !== 'failed' ? held.id : newId(),
        roomId: shown.room!.id,
        body: {
          ...(held && zone.test !== 'failed'
            ? bodyOf(held)
            : { zone: zone.id, begunAt: nowUtc(), tackMin: null, isHeld: null, note: '' }),
          ...part,
        },
      },
    ]);
  const name = say(zone.name);
  return (
    <View style={[styles.zone, { borderColor: palette.rule }]} testID="glue-zone">
      <Words bold>{name}</Words>
      {zone.test === 'held' ? (
        <Words>{`It held; tacky after ${zone.tackMin} min.`}</Words>
      ) : zone.test === 'failed' ? (
        <Words bold>It came off: take the residue off or prime it, then try again.</Words>
      ) : zone.test === 'running' ? (
        <Words>
          {zone.tackMin === null
            ? `Spread at ${times.localTime(zone.begunAt!).slice(11)}, ${minutes} min ago. Touch it now and then: it is tacky when it pulls a thread and leaves none on the finger.`
            : `Tacky after ${zone.tackMin} min. Lay the strip, load it, and pull it up tomorrow.`}
        </Words>
      ) : (
        <Words size="small">Spread a trowel’s width, note the time, and wait until it is tacky.</Words>
      )}
      <ButtonRow>
        {zone.test === 'none' || zone.test === 'failed' ? (
          <Button label="Begin a patch test" hint={name} onPress={() => put(`Patch test: ${name}`, {})} />
        ) : zone.test === 'running' && zone.tackMin === null ? (
          <Button
            label={`Tacky now, after ${minutes} min`}
            hint={name}
            onPress={() => put('Tacky', { tackMin: minutes })}
          />
        ) : zone.test === 'running' ? (
          <>
            <Button label="The strip held" hint={name} onPress={() => put('The strip held', { isHeld: true })} />
            <Button label="It came off" hint={name} onPress={() => put('The strip came off', { isHeld: false })} />
          </>
        ) : null}
      </ButtonRow>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  zone: { gap: SPACE.near, borderTopWidth: 1, paddingTop: SPACE.gap },
});
