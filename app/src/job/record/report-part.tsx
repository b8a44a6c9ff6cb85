import { useState } from 'react';
import { deviceZone } from '@maquette/words';
import { ask } from '../../data/api.ts';
import { useUnits } from '../../data/device-settings.ts';
import { newId } from '../../data/ids.ts';
import { saveBlob } from '../../data/save-text.ts';
import { Button, ButtonRow } from '../../ui/button.tsx';
import { Words } from '../../ui/text.tsx';
import { PartBox } from './part-box.tsx';
import { useUnsent, watchRecord, type OnServer } from './seal-now.ts';
import type { PaperMaker } from './use-record.ts';

/** The report: as PDF from the server, or a lighter one made here without any signal. */
export function ReportPart({ jobId, name, paper }: { jobId: string; name: string; paper: PaperMaker }) {
  const units = useUnits()[0];
  const [state, setState] = useState<OnServer>({ share: null, failed: null });
  const fileName = `${name.toLowerCase().replace(/\W+/g, '-')}-report`;
  const make = async (asked: 'metric' | 'imperial') => {
    setState({ share: 0, failed: null });
    const as = `report-${newId()}`;
    const end = watchRecord(as, (share) => setState({ share, failed: null }));
    try {
      const answer = await ask(
        `/api/jobs/${jobId}/report?units=${asked}&as=${as}&zone=${encodeURIComponent(deviceZone())}`,
        {},
      );
      if (!answer.ok) throw new Error('The server could not make the report.');
      saveBlob(`${fileName}-${asked}.pdf`, await answer.blob());
      setState({ share: null, failed: null });
    } catch (error) {
      const why = error instanceof Error ? error.message : String(error);
      setState({ share: null, failed: `${why}. A lighter report can be made here.` });
    } finally {
      end();
    }
  };
  const making = paper.making?.name.startsWith('report') ? paper.making : null;
  const other = units === 'metric' ? 'imperial' : 'metric';
  const sizes = { metric: 'metric, A4', imperial: 'feet and inches, Letter' };
  const unsent = useUnsent();
  return (
    <PartBox>
      <Words>
        Two plain pages for the client, then every map, test, choice and clause with its reading. The seal is made apart
        from it.
      </Words>
      {state.share !== null ? (
        <Words
          role="status"
          figure
          testID="report-working"
        >{`Made on the server, ${Math.round(state.share * 100)} % …`}</Words>
      ) : null}
      {state.failed ? <Words role="alert">{state.failed}</Words> : null}
      {making ? <Words role="status" figure>{`Made here, ${Math.round(making.share * 100)} % …`}</Words> : null}
      {paper.failed ? <Words role="alert">{paper.failed}</Words> : null}
      <ButtonRow>
        <Button
          kind="main"
          label="Make the report (PDF)"
          hint={sizes[units]}
          off={unsent}
          onPress={() => void make(units)}
        />
        <Button label="The other units (PDF)" hint={sizes[other]} off={unsent} onPress={() => void make(other)} />
      </ButtonRow>
      <ButtonRow>
        <Button
          label="Make a lighter one here"
          hint="one page to read and print, without signal"
          onPress={() => paper.make({ paper: 'report' }, fileName)}
        />
      </ButtonRow>
    </PartBox>
  );
}
