import { FIRM_RECORD_URL, useFirmRecord } from '../api/record';
import { RecordList } from '../history/RecordList';
import { ButtonLink } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row } from '../kit/Panel';

/** Who changed what of what the firm sets for itself: rules, equipment, terms, checklists. It is only ever added to. */
export function FirmRecordPanel() {
  const { data, error } = useFirmRecord();
  return (
    <Panel aria-label="Record of changes">
      <Row style={{ justifyContent: 'space-between' }}>
        <h2>Record of changes</h2>
        {data && data.entries.length > 0 && (
          <ButtonLink href={FIRM_RECORD_URL} download>
            As a table, CSV
          </ButtonLink>
        )}
      </Row>
      {error && !data && <Notice kind="act" title="The record could not be loaded." />}
      {data?.entries.length === 0 && <p className="quiet">Nothing has been changed yet.</p>}
      <RecordList entries={data?.entries ?? []} />
    </Panel>
  );
}
