import { recordUrl, useJobRecord } from '../api/record';
import { ButtonLink } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row } from '../kit/Panel';
import { RecordList } from './RecordList';

/** Who decided what: sign-offs, what was sent and answered, overrides. It is only ever added to. */
export function RecordPanel({ jobId }: { readonly jobId: string }) {
  const { data, error } = useJobRecord(jobId);
  return (
    <Panel aria-label="Record of decisions">
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>Record of decisions</h2>
        {data && data.entries.length > 0 && (
          <ButtonLink href={recordUrl(jobId)} download>
            As a table, CSV
          </ButtonLink>
        )}
      </Row>
      {error && !data && <Notice kind="act" title="The record could not be loaded." />}
      {data?.entries.length === 0 && <p className="quiet">Nothing has been decided yet.</p>}
      <RecordList entries={[...(data?.entries ?? [])].reverse()} />
    </Panel>
  );
}
