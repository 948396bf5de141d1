import { useState } from 'react';
import { makeFeed, revokeFeed, useFeeds } from '../api/diary';
import { BareButton, Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { Panel, Row, Stack } from '../kit/Panel';

/** Secret addresses under which a calendar subscribes to the diary. */
export function FeedsPanel() {
  const { data, mutate } = useFeeds();
  const [made, setMade] = useState<string | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const attempt = async (work: () => Promise<void>): Promise<void> => {
    setProblem(null);
    try {
      await work();
    } catch (error) {
      setProblem(error instanceof Error ? error.message : 'It did not work.');
    }
    await mutate();
  };
  return (
    <Panel aria-label="In your own calendar">
      <h2>In your own calendar</h2>
      <p className="quiet">
        A calendar that subscribes to such an address shows the diary and keeps up with it. Whoever has the address
        reads it: treat it like a key, and revoke it when somebody leaves.
      </p>
      {made !== null && (
        <Notice kind="note" title="The address, shown this once:">
          <span className="figures" style={{ overflowWrap: 'anywhere' }}>
            {made}
          </span>
        </Notice>
      )}
      <Stack as="ul" style={{ '--gap': '0.2rem', listStyle: 'none', padding: 0, margin: 0 }}>
        {data?.feeds.map(({ id, madeBy, madeAt }, at) => (
          <Row as="li" key={id} style={{ justifyContent: 'space-between' }}>
            <span>
              Address {at + 1}, made by {madeBy}, {new Date(madeAt).toLocaleDateString('en-GB')}
            </span>
            <BareButton aria-label={`Revoke address ${at + 1}`} onPress={() => void attempt(() => revokeFeed(id))}>
              Revoke
            </BareButton>
          </Row>
        ))}
      </Stack>
      <div>
        <Button
          onPress={() =>
            void attempt(async () => {
              const { path } = await makeFeed();
              setMade(`${window.location.origin}${path}`);
            })
          }
        >
          Make an address
        </Button>
      </div>
      {problem !== null && <Notice kind="act" title={problem} />}
    </Panel>
  );
}
