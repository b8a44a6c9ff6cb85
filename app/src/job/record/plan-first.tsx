import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import type { CourseShown } from '../use-course.ts';

/** Stands for what is made of a job's days and price while nobody has asked for them: a key that has them worked out, and how far it is. */
export function PlanFirst({ what, shown, onAsk }: { what: string; shown: CourseShown; onAsk: () => void }) {
  const { working, failed, stop, again } = shown;
  if (working !== null)
    return (
      <>
        <Words role="status" figure>{`Days and price are worked out, ${Math.round(working * 100)} % …`}</Words>
        <ButtonRow>
          <Button label="Stop" hint="working out days and price" onPress={stop} />
        </ButtonRow>
      </>
    );
  return (
    <>
      <Words>{failed ?? what}</Words>
      <ButtonRow>
        <Button label="Work out days and price" onPress={failed ? again : onAsk} />
      </ButtonRow>
    </>
  );
}
