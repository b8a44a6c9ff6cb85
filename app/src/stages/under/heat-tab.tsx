import { StyleSheet, View } from 'react-native';
import type { HeatOfRoom } from '@maquette/core';
import { FIGURES, UNDER_FIGURES, type FigureName } from '@maquette/core/figures';
import type { RoomFacts } from '@maquette/core/room';
import { HEAT_PROBE } from '@maquette/core/under/questions';
import { formatTemperature } from '@maquette/core/units';
import type { ShownRoom } from '../../data/use-facts.ts';
import { SPACE } from '../../theme/theme.tsx';
import { Choice } from '../../ui/choice.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { FiguresFold } from '../figures-fold.tsx';
import type { NamedFigure } from '../named-figure.ts';
import { useAnswers } from '../use-answers.ts';
import { CableTests } from './cable-tests.tsx';
import { HeatDays } from './heat-days.tsx';

const FIGURES_HERE = (Object.keys(UNDER_FIGURES) as FigureName[])
  .filter((name) => name.startsWith('heat-'))
  .map((name): NamedFigure => [name, FIGURES[name]]);

/** A heated floor: what lies over the heating, how warm its water has to be, and the days before and after laying. */
export function HeatTab({ shown, room, heat }: { shown: ShownRoom; room: RoomFacts; heat: HeatOfRoom }) {
  const answers = useAnswers(shown);
  const { floor, rug, rules, wantedW } = heat;
  const degrees = (c: number) => formatTemperature(c, room.units);
  const rugHolds = floor !== null && rug !== null && rug.waterC <= floor.mostWaterC;
  return (
    <View style={styles.box} testID="heat">
      {floor ? (
        <>
          <Words bold size="large" figure>{`R ${floor.sumR.toFixed(3)} of 0.150 m²K/W over the heating`}</Words>
          {heat.by === 'water' ? (
            <>
              <Words>{`For ${wantedW} W/m² the surface is at ${degrees(floor.surfaceC)}, the water at ${degrees(floor.waterC)} on average and ${degrees(floor.flowC)} as it flows in.`}</Words>
              <Words>{`The surface may be ${degrees(rules.mostSurfaceC)}: it then gives off ${floor.mostW.toFixed(0)} W/m², and the flow is ${degrees(floor.mostFlowC)} at most.`}</Words>
              {rug ? (
                <Words>{`Under a rug it would take water at ${degrees(rug.waterC)} for the same heat. ${rugHolds ? 'The planks still stand that.' : `The planks stand ${degrees(floor.mostWaterC)}: keep rugs off them.`}`}</Words>
              ) : null}
            </>
          ) : (
            <Words>
              An electric floor goes on giving heat under a rug or a closed plinth, and gets warmer there. A probe has
              to hold the underside of the planks to what their sheet takes.
            </Words>
          )}
        </>
      ) : (
        <Words bold>How much heat the planks or the underlay hold back is not on their card: enter it there.</Words>
      )}
      {heat.by === 'water' ? (
        <HeatDays shown={shown} room={room} heat={heat} />
      ) : (
        <>
          <Choice
            label="Does a probe hold it to what the planks take?"
            inline
            value={answers.to(HEAT_PROBE) ?? 'unknown'}
            options={[
              { value: 'unknown', label: 'Not known' },
              { value: 'no', label: 'No' },
              { value: 'yes', label: 'Yes' },
            ]}
            onChange={(value) => void answers.set(HEAT_PROBE, value, 'Probe of the heating')}
          />
          <CableTests shown={shown} room={room} />
        </>
      )}
      <Fold title="How it is worked out">
        <Words>
          A floor gives off 8.92 times the 1.1th power of how far its surface is over the room, W/m². The water is as
          much warmer as the heat has to pass planks, underlay, panel and the screed over the pipes. Beyond 0.15 m²K/W
          over the heating the room no longer gets warm with water that spares the planks. The maker’s sheet and the
          heating engineer win.
        </Words>
      </Fold>
      <FiguresFold shown={shown} figures={FIGURES_HERE} />
    </View>
  );
}

const styles = StyleSheet.create({ box: { padding: SPACE.edge, gap: SPACE.part } });
