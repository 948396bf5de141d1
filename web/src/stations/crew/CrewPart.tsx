import type { CrewSection } from '@keen-gauge/core/crew/sheet';
import { ChevronDown } from 'lucide-react';
import { useId, useState } from 'react';
import styled from 'styled-components';
import { useMedia } from '../../app/use-media';
import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { CrewLineRow } from './CrewLineRow';
import { Ruled } from './crew-layout';

/** The whole head of a part is pressed to open it: thumbs in gloves are wide. */
const Head = styled.button`
  all: unset;
  box-sizing: border-box;
  cursor: pointer;
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0 0.6rem;
  width: 100%;
  min-height: 44px;
  margin: -0.5rem 0;
  font: inherit;
  & > span:first-child {
    flex: 1 1 7rem;
    min-width: 0;
  }
  &:focus-visible {
    outline: 3px solid var(--focus);
    outline-offset: 2px;
  }
  &[aria-expanded='true'] > svg {
    transform: rotate(180deg);
  }
  @media print {
    min-height: 0;
    & > svg {
      display: none;
    }
  }
`;

/** Put away on the screen only: paper has every part. */
const Body = styled(Ruled)`
  @media screen {
    &[data-away] {
      display: none;
    }
  }
`;

/** A part of the sheet with its lines; on a phone it can be put away under its name. */
export function CrewPart({
  section: { id, title, lines },
  isFirst,
}: {
  readonly section: CrewSection;
  /** Open from the beginning: it is what has to be read or done now. */
  readonly isFirst: boolean;
}) {
  const { survey } = useSurvey();
  const isWide = useMedia('(min-width: 44rem)');
  // As it was pressed; what is ticked does not close under the thumb that ticks it.
  const [pressed, setPressed] = useState<boolean>();
  const [opened] = useState(isFirst);
  const body = useId();
  const isOpen = pressed ?? (isWide || opened);
  const ticked = new Set((survey.fit?.ticks ?? []).map((tick) => tick.id));
  const tasks = lines.filter(({ isTask }) => isTask);
  const done = tasks.filter((line) => ticked.has(line.id)).length;
  const count = tasks.length > 0 ? `${done} of ${tasks.length}` : isOpen ? '' : `${lines.length} to read`;
  return (
    <Panel aria-label={title} {...(id === 'cautions' ? { style: { borderColor: 'var(--hold)' } } : {})}>
      <h2>
        <Head
          type="button"
          aria-expanded={isOpen}
          aria-controls={body}
          onClick={() => {
            setPressed(!isOpen);
          }}
        >
          <span>{title}</span>
          <span className="quiet no-print" style={{ fontWeight: 400, fontSize: '0.95rem' }}>
            {count}
          </span>
          <ChevronDown size={18} aria-hidden style={{ flex: 'none' }} />
        </Head>
      </h2>
      <Body id={body} {...(isOpen ? {} : { 'data-away': true })}>
        {lines.map((line) => (
          <CrewLineRow key={line.id} line={line} />
        ))}
      </Body>
    </Panel>
  );
}
