import { View } from 'react-native';
import { SPACE } from '../../theme/theme.tsx';
import type { ShownRoom } from '../../data/use-facts.ts';
import { counted } from '../../ui/counted.ts';
import { Fold } from '../../ui/fold.tsx';
import { Words } from '../../ui/text.tsx';
import { useOfJob } from '../../worker/use-of-job.ts';

/** Boxes of this covering over all rooms of the job: one batch, and one lot of spare planks. */
export function JobBoxesFold({ shown, jobId }: { shown: ShownRoom; jobId: string }) {
  const { plan, working, failed } = useOfJob('layBoxes', jobId, true);
  const own = plan?.find(({ cardId }) => cardId === shown.card?.id);
  if (failed) return <Words role="alert">{failed}</Words>;
  // One room's boxes are told above.
  if (!own || own.rooms.length < 2) return null;
  return (
    <Fold
      title="Over all rooms of the job"
      aside={counted(own.boxes, 'box', 'boxes')}
      memory={`lay-job-boxes/${jobId}`}
    >
      <View style={{ gap: SPACE.near }} testID="job-boxes">
        <Words bold figure>
          {`${counted(own.boxes, 'box', 'boxes')} of one batch: ${counted(own.planks, 'plank')} and ${own.spare} spare, ${own.inBox} in a box.`}
        </Words>
        {own.rooms.map(({ roomId, name, planks }) => (
          <Words key={roomId} figure>{`${name}: ${counted(planks, 'plank')}`}</Words>
        ))}
        {own.apart > own.boxes ? <Words size="small">{`Bought room by room it would be ${own.apart}.`}</Words> : null}
        <Words size="small">
          As planned at once; a longer search in a room may take a plank or two fewer. Spare planks are bought once.
        </Words>
        {working !== null ? <Words role="status">Counting again …</Words> : null}
      </View>
    </Fold>
  );
}
