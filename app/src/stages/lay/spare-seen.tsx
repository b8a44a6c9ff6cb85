import type { StockLeft } from '@maquette/core/setout';
import { spareSeen } from '@maquette/core/setout';
import { FIGURES, figuresOf } from '@maquette/core/figures';
import { newId } from '../../data/ids.ts';
import { useBook, type ShownRoom } from '../../data/use-facts.ts';
import { write } from '../../data/write.ts';
import { Button } from '../../ui/button.tsx';
import { counted } from '../../ui/counted.ts';
import { Words } from '../../ui/text.tsx';

/** What was set aside so far against what is reckoned with: the rooms to come may reckon with what was seen. */
export function SpareSeen({ shown, stock }: { shown: ShownRoom; stock: Pick<StockLeft, 'used' | 'damaged'> }) {
  const book = useBook();
  const seen = spareSeen(stock);
  const reckoned = figuresOf(shown.plain.figures, shown.room!.units)('spare-pct');
  if (seen === null) return null;
  const { jobId, name: room } = shown.room!;
  const next = Math.min(seen, FIGURES['spare-pct'].max);
  const reckon = () => {
    const held = book.figures.find((one) => one.jobId === jobId && one.name === 'spare-pct');
    void write(`Spare planks: ${next} %`, [
      {
        kind: 'figures',
        id: held?.id ?? newId(),
        body: {
          jobId,
          name: 'spare-pct',
          value: next,
          source: `Laid in ${room}: ${stock.damaged} of ${stock.used} set aside`,
        },
      },
    ]);
  };
  return (
    <>
      <Words testID="spare-seen">
        {`Laid so far: ${counted(stock.used, 'plank')}, and ${stock.damaged} set aside, ${seen} %. Spare planks are reckoned at ${reckoned} %.`}
      </Words>
      {next > reckoned ? <Button label={`Reckon with ${next} % in this job`} onPress={reckon} /> : null}
    </>
  );
}
