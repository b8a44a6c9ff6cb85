import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  FORECAST_LEAST,
  probeSeries,
  ruleOfThumb,
  usualPlan,
  waysOut,
  WAY_WORDS,
  type DampContext,
  type DampState,
  WAY_OUT,
} from '@maquette/core/damp';
import { celsiusOf, temperatureIn, temperatureUnit } from '@maquette/core/units';
import type { DryingPlan } from '@maquette/core/drying';
import { SHIPPED_CARDS } from '@maquette/core/coverings';
import { useBook, type ShownRoom } from '../../data/use-facts.ts';
import { usePalette, SPACE } from '../../theme/theme.tsx';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Choice } from '../../ui/choice.tsx';
import { fetched } from '../../ui/fetched.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Stepper } from '../../ui/stepper.tsx';
import { Words } from '../../ui/text.tsx';
import { useSame } from '../../ui/use-same.ts';
import { useForecast } from '../../worker/use-judged.ts';
import { moneyWords } from '../amounts.ts';
import { useAnswers } from '../use-answers.ts';
import { useSay, useTimes } from '../../ui/shown-in.tsx';

const DryingChart = fetched(() => import('../charts.ts').then((charts) => charts.DryingChart));

/** When it will be dry, as a band; what changes it; and the ways out when it is over its limit. */
export function ForecastTab({ shown, damp }: { shown: ShownRoom; damp: { ctx: DampContext; state: DampState } }) {
  const { dayWords } = useTimes();
  const day = (utc: string | null) => (utc ? dayWords(utc) : 'not within three years');
  const say = useSay();
  const palette = usePalette();
  const { ctx, state } = damp;
  const book = useBook();
  const answers = useAnswers(shown);
  const all = probeSeries(ctx, state.results);
  const [chosen, setChosen] = useState<string | null>(null);
  const probe = all.find((p) => p.testId === chosen) ?? all[0] ?? null;
  const [whatIf, setWhatIf] = useState<DryingPlan | null>(null);
  const [limit, setLimit] = useState<number | null>(null);
  const usual = probe ? usualPlan(ctx, probe) : null;
  const plan = whatIf ?? usual;
  const limitPercent = limit ?? ctx.card.cementLimitRh;
  const asked = useSame(probe && plan ? { probe, limitPercent, plan } : null);
  const { forecast, working, progress, failed, stop } = useForecast(asked);
  const rule = ruleOfThumb(ctx);
  const cards = [...SHIPPED_CARDS, ...book.cards];
  const ways = waysOut(ctx, state, whatIf || limit !== null ? null : forecast, cards);
  const currency = shown.job?.currency ?? '';
  return (
    <View style={styles.box}>
      {!probe ? (
        <Words>
          {ctx.room.base.slabMm === null
            ? 'The slab’s thickness is not recorded (Room, base): without it nothing can be forecast.'
            : `A forecast needs ${FORECAST_LEAST.readings} valid probe readings over at least ${FORECAST_LEAST.days} days at one place.`}
        </Words>
      ) : (
        <>
          {all.length > 1 ? (
            <Choice
              label="Probe"
              inline
              value={probe.testId}
              options={all.map((p) => ({
                value: p.testId,
                label: `${p.name}: ${p.values[p.values.length - 1]!.rhPercent.toFixed(1)} %RH`,
              }))}
              onChange={setChosen}
            />
          ) : null}
          {forecast ? (
            <>
              <Words size="large" bold testID="forecast-band">
                {forecast.forecast.earlyDay === null
                  ? `Not at ${limitPercent} %RH within three years as things are`
                  : `At ${limitPercent} %RH between ${day(forecast.earlyUtc)} and ${day(forecast.lateUtc)}`}
              </Words>
              <Words size="small">
                {`Eight in ten; half of the cases by ${day(forecast.middleUtc)}. A forecast, never a pass: the probe decides.`}
              </Words>
              <DryingChart forecast={forecast} />
            </>
          ) : null}
          {working ? (
            <View style={styles.row}>
              <Words style={styles.grow}>{`Working it out … ${Math.round(progress * 100)} %`}</Words>
              <Button label="Stop" onPress={stop} style={styles.small} />
            </View>
          ) : null}
          {failed ? <Words role="alert">{failed}</Words> : null}
          {plan ? (
            <Fold title="What if" aside={whatIf || limit !== null ? 'changed' : 'as it is'} open>
              <Stepper
                label="Room temperature from now on"
                value={Math.round(temperatureIn(plan.roomC, damp.ctx.room.units))}
                unit={temperatureUnit(damp.ctx.room.units)}
                step={1}
                min={Math.round(temperatureIn(5, damp.ctx.room.units))}
                max={Math.round(temperatureIn(35, damp.ctx.room.units))}
                onChange={(to) => setWhatIf({ ...plan, roomC: damp.ctx.room.units === 'metric' ? to : celsiusOf(to) })}
              />
              <Stepper
                label="Room humidity from now on"
                value={plan.roomRhPercent}
                unit="%RH"
                step={5}
                min={15}
                max={80}
                onChange={(roomRhPercent) => setWhatIf({ ...plan, roomRhPercent })}
              />
              <Stepper
                label="Limit of another covering"
                value={limitPercent}
                unit="%RH"
                step={5}
                min={60}
                max={95}
                onChange={setLimit}
              />
              <Choice
                label="Drying through"
                inline
                value={String(plan.faces)}
                options={[
                  { value: '1', label: 'One face' },
                  { value: '2', label: 'Both faces' },
                ]}
                onChange={(faces) => setWhatIf({ ...plan, faces: Number(faces) as 1 | 2 })}
              />
              <ButtonRow>
                <Button
                  label="As it is"
                  onPress={() => {
                    setWhatIf(null);
                    setLimit(null);
                  }}
                />
              </ButtonRow>
            </Fold>
          ) : null}
          <Fold title="How this is worked out">
            {probe.assumptions.map((a) => (
              <Words key={say(a)} size="small">{`${say(a)}.`}</Words>
            ))}
            {forecast ? (
              <Words size="small">
                {`Diffusion through ${probe.series.thicknessMm} mm, read at ${probe.series.depthMm} mm; fitted diffusivity ${(10 ** forecast.forecast.fit.logD * 1e10).toFixed(2)}e-10 m²/s and ${(forecast.forecast.fit.startRh * 100).toFixed(0)} %RH at the start; the fit leaves ${forecast.forecast.fit.leftPercent.toFixed(1)} %RH. 200 slabs around the fit make the band, widened for what the model leaves out.`}
              </Words>
            ) : null}
          </Fold>
        </>
      )}
      {rule ? (
        <Words size="small" testID="rule-of-thumb">
          {`Rule of thumb: ${say(rule.words)}${rule.readyUtc ? ` That is ${dayWords(rule.readyUtc)}.` : ' Nobody recorded since when.'}`}
        </Words>
      ) : null}
      {ways.length > 0 ? (
        <View style={styles.ways} testID="ways-out">
          <Words bold size="large">
            Ways out
          </Words>
          {ways.map((way) => (
            <View
              key={way.way}
              style={[
                styles.way,
                { borderColor: way.chosen ? palette.chalk : palette.rule, borderWidth: way.chosen ? 2 : 1 },
              ]}
            >
              <Words bold>{say(WAY_WORDS[way.way])}</Words>
              <Words size="small">{`Time: ${say(way.time)}.`}</Words>
              <Words size="small">
                {way.cost === null
                  ? `Cost: ${say(way.costWords)}.`
                  : `Cost: ${moneyWords(way.cost, currency)}, ${say(way.costWords)}.`}
              </Words>
              <Words size="small">{`Not known: ${say(way.unknown)}`}</Words>
              <Words size="small" bold={!way.allowed}>
                {say(way.why)}
              </Words>
              <Button
                label={way.chosen ? 'Chosen' : `Choose: ${say(WAY_WORDS[way.way]).toLowerCase()}`}
                selected={way.chosen}
                off={way.allowed ? null : say(way.why)}
                onPress={() => void answers.set(WAY_OUT, way.way, `Way out: ${say(WAY_WORDS[way.way]).toLowerCase()}`)}
              />
            </View>
          ))}
        </View>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap },
  grow: { flex: 1 },
  small: { flexGrow: 0 },
  ways: { gap: SPACE.gap },
  way: { padding: SPACE.part, gap: SPACE.near },
});
