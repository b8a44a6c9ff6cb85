import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { UnderOfRoom } from '@maquette/core';
import { FIGURES, UNDER_FIGURES, type FigureName } from '@maquette/core/figures';
import type { RoomFacts } from '@maquette/core/room';
import { formatTemperature } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Choice } from '../../ui/choice.tsx';
import { capital } from '../../ui/capital.ts';
import { fetched } from '../../ui/fetched.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { FiguresFold } from '../figures-fold.tsx';
import type { NamedFigure } from '../named-figure.ts';
import { optionName } from './option-words.ts';
import { BELOW, CURES, MONTHS, placeWords, VERDICT_SAID } from './year-words.ts';

const FIGURES_HERE = (Object.keys(UNDER_FIGURES) as FigureName[])
  .filter((name) => /^(outside|crawl|unheated|vapour)/.test(name))
  .map((name): NamedFigure => [name, FIGURES[name]]);

const YearChart = fetched(() => import('../charts.ts').then((charts) => charts.YearChart));

/** A year of vapour through the floor as it would be laid: every month at every place, and what would mend it. */
export function YearTab({ shown, room, under }: { shown: ShownRoom; room: RoomFacts; under: UnderOfRoom }) {
  const { year } = under;
  const { verdict, climate, layers, limits, underCovering, cures } = year;
  const isTimber = under.room.base === 'timber';
  // The dampest place that anything is held to stands first.
  const telling = isTimber ? 0 : layers.length - 1;
  const [chosen, setPlace] = useState<number | null>(null);
  const place = chosen ?? telling;
  const limitRh = isTimber
    ? place <= 1 || layers[place - 1]?.isWood
      ? limits.woodRh
      : null
    : place === telling
      ? (underCovering?.limitRh ?? null)
      : null;
  const name = placeWords(year, place, isTimber);
  const shownOption = under.chosen ?? under.options[0]!;
  const reserve = verdict.reserve;
  const outcome = underCovering
    ? `${underCovering.rh.toFixed(1)} %RH under the planks at most; their sheet takes ${underCovering.limitRh}.`
    : `The wood comes to ${(verdict.wood?.rh ?? 0).toFixed(1)} %RH; ${limits.woodRh} is the most it stands. ${capital(VERDICT_SAID[verdict.why])}.`;
  return (
    <View style={styles.box} testID="year">
      <Words size="small">{`${under.chosen ? 'As chosen' : 'Nothing is chosen yet. As it would be with'}: ${optionName(shownOption.offered)}, over ${BELOW[climate.below]}.`}</Words>
      <Words bold>{outcome}</Words>
      <YearChart year={year} place={place} name={name} limitRh={limitRh} />
      <Choice
        label="Where in the floor"
        inline
        value={String(place)}
        options={Array.from({ length: layers.length + 1 }, (_, at) => ({
          value: String(at),
          label: placeWords(year, at, isTimber),
        })).slice(0, -1)}
        onChange={(value) => setPlace(Number(value))}
      />
      {verdict.year.peak ? (
        <Words>{`Water comes together ${placeWords(year, verdict.year.peak.place, isTimber).toLowerCase()}: ${Math.round(verdict.year.peak.heldG)} g/m² at most, in ${MONTHS[verdict.year.peak.month]}. ${verdict.year.dries ? 'It dries within the year.' : 'It does not dry within the year.'}`}</Words>
      ) : (
        <Words>No water comes together in any month.</Words>
      )}
      {reserve ? (
        <Words>{`Wood that got wet once could give off ${Math.round(reserve.aboveG)} g/m² a year upwards and ${Math.round(reserve.belowG)} downwards; ${limits.reserveG} together are asked.`}</Words>
      ) : null}
      {cures.length > 0 ? (
        <View style={styles.part}>
          <Words bold>What would change it</Words>
          {cures.map(({ id, verdict: other }) => (
            <Words
              key={id}
              testID={`cure-${id}`}
            >{`${CURES[id]}: the wood comes to ${(other.wood?.rh ?? 0).toFixed(1)} %RH, ${VERDICT_SAID[other.why]}; ${Math.round((other.reserve?.aboveG ?? 0) + (other.reserve?.belowG ?? 0))} g/m² could dry.`}</Words>
          ))}
        </View>
      ) : null}
      <Fold
        title="Month by month"
        aside={climate.monthsRead > 0 ? `${counted(climate.monthsRead, 'month')} as read` : 'as usual at the place'}
      >
        {climate.months.map(({ below, above }, month) => {
          const made = verdict.year.months[month]!;
          const heldG = Math.round(Math.max(...made.heldG));
          return (
            <View key={MONTHS[month]} style={styles.line}>
              <Words figure bold style={styles.month}>
                {MONTHS[month]}
              </Words>
              <Words figure size="small" style={styles.grow}>
                {`below ${formatTemperature(below.c, room.units)}, ${Math.round(below.rh)} %RH · room ${formatTemperature(above.c, room.units)}, ${Math.round(above.rh)} %RH · here ${made.rh[place]!.toFixed(1)} %RH${heldG > 0 ? ` · ${heldG} g/m² of water` : ''}`}
              </Words>
            </View>
          );
        })}
      </Fold>
      <Fold title="How it is worked out">
        <Words>
          Each layer holds heat back by its R and vapour by its sd, the thickness of still air that is as tight. For the
          middle of every month the temperature follows R and the vapour pressure follows sd; where it would pass what
          air can hold, water comes together, and leaves again in months that dry. A year is run until it repeats, three
          at most.
        </Words>
        <Words>
          It leaves out sun, rain, draughts, leaks, wood that takes up water, and every hole in a film. It can warn of a
          floor; it cannot prove one.
        </Words>
        {layers.map(({ id, rM2KW, sdM }) => (
          <Words key={id} size="small" figure>{`${id}: R ${rM2KW.toFixed(2)} m²K/W, sd ${sdM.toFixed(1)} m`}</Words>
        ))}
        {year.isAssumed ? (
          <Words size="small">What a sheet or the drawing does not say is taken as usual.</Words>
        ) : null}
      </Fold>
      <FiguresFold shown={shown} figures={FIGURES_HERE} />
    </View>
  );
}

const styles = StyleSheet.create({
  box: { padding: SPACE.edge, gap: SPACE.part },
  part: { gap: SPACE.near },
  line: { flexDirection: 'row', gap: SPACE.gap, alignItems: 'baseline' },
  month: { width: 40 },
  grow: { flex: 1 },
});
