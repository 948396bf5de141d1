import { READING_FORMS } from '@keen-gauge/core/intake/readings';
import type { ReadingKind } from '@keen-gauge/core/survey/words/words';
import { Plus } from 'lucide-react';
import { useState } from 'react';
import { Link } from 'react-router';
import { useInstruments } from '../api/instruments';
import { Button } from '../kit/Button';
import { More } from '../kit/More';
import { Panel, Row, Stack } from '../kit/Panel';
import { freshReading, LAST_INSTRUMENT } from './fresh-reading';
import { useSet, useSurvey } from '../survey/SurveyContext';
import { ReadingRow } from './ReadingRow';

/** Readings of these kinds: a button for each to take one, and those taken. */
export function ReadingsPanel({
  kinds,
  nodeId,
  proposalId,
  shown,
  title = 'Readings',
}: {
  readonly kinds: readonly ReadingKind[];
  readonly nodeId?: string | undefined;
  /** The new equipment whose circuit is tested. */
  readonly proposalId?: string;
  /** Only these of those kinds; left out, all. */
  readonly shown?: ReadonlySet<string>;
  readonly title?: string;
}) {
  const { survey, me } = useSurvey();
  const set = useSet();
  const { data } = useInstruments();
  const [fresh, setFresh] = useState<string>();
  const taken = survey.readings.filter(({ id, kind }) => kinds.includes(kind) && (shown?.has(id) ?? true));

  const take = (kind: ReadingKind): void => {
    const reading = freshReading(kind, me.name, data?.instruments ?? [], {
      ...(nodeId === undefined ? {} : { nodeId }),
      ...(proposalId === undefined ? {} : { proposalId }),
    });
    set(['readings', reading.id], { ...reading });
    setFresh(reading.id);
  };

  const toTake = (
    <>
      <Row style={{ '--gap': '0.4rem' }}>
        {kinds.map((kind) => (
          <Button
            key={kind}
            onPress={() => {
              take(kind);
            }}
          >
            <Plus size={17} aria-hidden /> {READING_FORMS[kind].name}
          </Button>
        ))}
      </Row>
      <p className="quiet" style={{ fontSize: '0.9rem' }}>
        A bound is written as the instrument shows it: “&gt; 999”. The firm’s list:{' '}
        <Link to="/instruments">instruments</Link>.
      </p>
    </>
  );
  return (
    <Panel aria-label={title}>
      <h2>{title}</h2>
      {taken.length > 0 && (
        <Stack style={{ '--gap': '0.8rem' }}>
          {taken.map((reading) => (
            <ReadingRow
              key={reading.id}
              reading={reading}
              instruments={data?.instruments ?? []}
              autoFocus={reading.id === fresh}
              onInstrument={(id) => {
                localStorage.setItem(LAST_INSTRUMENT, id);
              }}
            />
          ))}
        </Stack>
      )}
      {kinds.every((kind) => taken.some((reading) => reading.kind === kind)) ? (
        <More label="Another reading">{toTake}</More>
      ) : (
        toTake
      )}
    </Panel>
  );
}
