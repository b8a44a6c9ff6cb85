import { View } from 'react-native';
import type { LayPlan } from '@maquette/core';
import type { UnitSystem } from '@maquette/core/units';
import { SPACE } from '../../theme/theme.tsx';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { useSay } from '../../ui/shown-in.tsx';
import { Words } from '../../ui/text.tsx';
import { sawn } from './lengths.ts';

/** How a room is laid in two halves, round what stands in it. */
function Halves({ plan, units }: { plan: LayPlan; units: UnitSystem }) {
  const say = useSay();
  const { half } = plan;
  if (!half) return null;
  return (
    <Fold title="Laid in two halves, round the furniture" memory="lay-halves">
      <Words>
        {`Clear the floor up to ${sawn(half.reachMm, units)} from ${say(plan.startWall.name)} and lay rows 1 to ${half.rows}. Lay boards over them, carry the furniture across, and go on with row ${half.rows + 1} from the same line.`}
      </Words>
      <Words size="small">
        {plan.glue
          ? 'Glued planks bear furniture only once the adhesive has set, as its sheet says: often a day or more.'
          : 'Nothing heavy may pin a floating floor on both sides: set it down in one half only.'}
      </Words>
    </Fold>
  );
}

/** The table of rows and the list of cuts, as they are read off on the floor. */
export function CutLists({ plan, units }: { plan: LayPlan; units: UnitSystem }) {
  const cut = plan.pieces.filter(({ kind, ripMm }) => kind !== 'whole' || ripMm !== null);
  return (
    <>
      <Halves plan={plan} units={units} />
      <Fold title="Table of rows" aside={counted(plan.rows.length, 'row')} memory="lay-rows">
        <View style={{ gap: SPACE.near }} role="list" accessibilityLabel="Rows">
          {plan.rows.map(({ row, leftWideMm, rightWideMm, startMm, wholes, endMm }, k) => (
            <View key={k} role="listitem">
              <Words figure size="small">
                {`Row ${row + 1}: ${sawn(leftWideMm, units)}${Math.abs(leftWideMm - rightWideMm) > 0.5 ? ` to ${sawn(rightWideMm, units)}` : ''} wide; ${[sawn(startMm, units), ...(wholes > 0 ? [`${wholes} whole`] : []), ...(endMm > 0 ? [sawn(endMm, units)] : [])].join(' + ')}`}
              </Words>
            </View>
          ))}
        </View>
      </Fold>
      <Fold title="Cut list" aside={counted(cut.length, 'piece')} memory="lay-cuts">
        <View style={{ gap: SPACE.near }} role="list" accessibilityLabel="Cuts">
          {cut.map(({ number, row, cutMm, kind, plank, restTo, rippedFrom, ripMm }) => (
            <View key={number} role="listitem">
              <Words figure size="small">
                {`${number}, row ${row}: ${kind === 'whole' ? 'whole length' : sawn(cutMm, units)}${ripMm ? `, ripped to ${sawn(Math.min(...ripMm), units)}` : ''}, ${rippedFrom === null ? `plank ${plank}` : `ripped off piece ${rippedFrom}`}${restTo === null ? '' : `, rest to piece ${restTo}`}`}
              </Words>
            </View>
          ))}
        </View>
        <Words size="small">
          {`Score away from the hand; rip long pieces with a saw and extraction, glasses and ear protectors on. Cut long rips first, across by the row. ${plan.rack > 0 ? `Up to ${counted(plan.rack, 'off-cut')} wait at once: write the number of the piece on each and stand them in a rack by the saw.` : 'No off-cut waits for a later row.'}`}
        </Words>
      </Fold>
    </>
  );
}
