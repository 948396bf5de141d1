import type { Conflict, Path } from '@keen-gauge/core/record/changes';
import { useEffect, useRef, useSyncExternalStore } from 'react';
import styled from 'styled-components';
import { useHistory, type HistoryEntry } from '../api/surveys';
import { Button } from '../kit/Button';
import { Notice } from '../kit/Notice';
import { placeWords, valueWords } from './change-words';
import type { SurveyStore } from './survey-store';

const Alert = styled.div`
  display: grid;
  gap: 0.5rem;
  margin-bottom: 0.8rem;
  /* Below the gauge, which lies over the page. */
  scroll-margin-top: 14rem;
`;

const Sides = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 12rem), 1fr));
  gap: 0.5rem;
  margin-top: 0.4rem;
`;

const Side = styled.div`
  display: grid;
  align-content: space-between;
  gap: 0.3rem;
  padding: 0.5rem 0.6rem;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  & > strong {
    color: var(--ink);
    overflow-wrap: break-word;
  }
`;

const time = new Intl.DateTimeFormat('en-GB', { dateStyle: 'medium', timeStyle: 'short' });

interface Asked {
  readonly jobId: string;
  readonly store: SurveyStore;
}

/** The same field set here and elsewhere: both values side by side, who set the other and when, and the person's choice. */
export function Conflicts(asked: Asked) {
  // Nothing is asked of the server while nobody has to choose.
  return useConflicts(asked.store).length === 0 ? null : <Choices {...asked} />;
}

const useConflicts = (store: SurveyStore): readonly Conflict[] =>
  useSyncExternalStore(store.subscribe, () => store.get().conflicts);

function Choices({ jobId, store }: Asked) {
  const conflicts = useConflicts(store);
  const { data } = useHistory(jobId);
  const entries = data?.flatMap((page) => page.entries) ?? [];
  const shown = useRef<HTMLDivElement>(null);
  // It may come while somebody types far below: what has to be chosen is not to be missed.
  useEffect(() => {
    shown.current?.scrollIntoView({ block: 'nearest' });
  }, []);
  return (
    <Alert role="alert" ref={shown}>
      {conflicts.map((conflict) => (
        <Choice
          key={conflict.change.path.join('/')}
          conflict={conflict}
          setBy={entries.find((entry) => hasSet(entry, conflict.change.path))}
          onChoose={(mine) => {
            store.settle(conflict, mine);
          }}
        />
      ))}
    </Alert>
  );
}

function Choice({
  conflict: { change, theirs },
  setBy,
  onChoose,
}: {
  readonly conflict: Conflict;
  readonly setBy: HistoryEntry | undefined;
  readonly onChoose: (mine: boolean) => void;
}) {
  const [mine, other] = [valueWords(change.kind === 'set' ? change.to : undefined), valueWords(theirs)];
  return (
    <Notice kind="act" title={`Also changed elsewhere: ${placeWords(change.path)}`}>
      <Sides>
        <Side>
          <span>Yours, on this device</span>
          <strong>{mine}</strong>
          <Button
            aria-label={`Keep mine: ${mine}`}
            onPress={() => {
              onChoose(true);
            }}
          >
            Keep mine
          </Button>
        </Side>
        <Side>
          <span>{setBy ? `${setBy.person}, ${time.format(new Date(setBy.madeAt))}` : 'Set elsewhere'}</span>
          <strong>{other}</strong>
          <Button
            aria-label={`Keep theirs: ${other}`}
            onPress={() => {
              onChoose(false);
            }}
          >
            Keep theirs
          </Button>
        </Side>
      </Sides>
    </Notice>
  );
}

/** Whether an edit set what is at a place, what it is part of, or part of it. */
function hasSet({ changes }: HistoryEntry, place: Path): boolean {
  return changes.some(({ path }) => path.slice(0, place.length).every((step, at) => step === place[at]));
}
