import { useState } from 'react';
import { ruleWords, SHIPPED_CARDS, sameRule } from '@maquette/core/coverings';
import type { LevellingPlan, RuleCost } from '@maquette/core/levelling';
import type { RoomFacts } from '@maquette/core/room';
import { formatGap, unitLabel } from '@maquette/core/units';
import { useBook } from '../../data/use-facts.ts';
import { Button } from '../../ui/button.tsx';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import type { Planned } from '../../worker/use-planned.ts';
import { moneyWords } from '../amounts.ts';
import { useSay } from '../../ui/shown-in.tsx';
import { counted } from '../../ui/counted.ts';

interface Props {
  room: RoomFacts;
  planned: Planned & { plan: LevellingPlan };
  currency: string;
}

/** The same floor under other rules, which coverings ask for each, and what filling to it would cost. */
export function RulesFold({ room, planned, currency }: Props) {
  const say = useSay();
  const book = useBook();
  const [costs, setCosts] = useState<RuleCost[] | 'working' | null>(null);
  const [failed, setFailed] = useState<string | null>(null);
  const { plan } = planned;
  const { units } = room;
  const cards = [...SHIPPED_CARDS, ...book.cards];
  const asking = (rule: RuleCost['rule']) => cards.filter((card) => card.rules.some((own) => sameRule(own, rule)));
  return (
    <Fold
      title="The same floor under other rules"
      aside={`${plan.otherRules.filter((r) => r.overMm <= 0).length} need nothing`}
    >
      {plan.otherRules.map((r) => {
        const cost = Array.isArray(costs) ? costs.find((c) => sameRule(c.rule, r.rule)) : null;
        const names = asking(r.rule).map((card) => card.name);
        return (
          <Words key={say(ruleWords(r.rule))} figure bold={r.chosen}>
            {`${say(ruleWords(r.rule))}: ${r.overMm > 0 ? `${formatGap(r.overMm, units)} ${unitLabel(units)} over` : 'needs nothing'}${cost ? `, fill only ${moneyWords(cost.cost, currency)}, ${counted(cost.bags, 'bag')}` : ''}${r.chosen ? ', this covering' : ''}${names.length > 0 ? ` (${names.join('; ')})` : ''}`}
          </Words>
        );
      })}
      {costs === 'working' ? (
        <Words role="status">Working the fills out …</Words>
      ) : costs === null ? (
        <Button
          label="What filling to each would cost"
          onPress={() => {
            setCosts('working');
            planned.rules((told, why) => {
              setCosts(told);
              setFailed(why);
            });
          }}
        />
      ) : null}
      {failed ? <Words role="alert">{failed}</Words> : null}
      <Words size="small" quiet>
        Another covering may ask for less. The maker’s sheet decides, not the wish.
      </Words>
    </Fold>
  );
}
