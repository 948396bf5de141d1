import { Pencil, Plus } from 'lucide-react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';

const Line = styled(Button)`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 0.1rem 0.8rem;
  align-items: center;
  width: 100%;
  min-height: 44px;
  margin-block: -0.4rem;
  padding: 0.3rem 0.2rem;
  border: 0;
  border-bottom: 1px solid var(--line);
  background: transparent;
  color: var(--ink);
  font: 400 1rem/1.3 var(--text);
  text-align: left;
  cursor: pointer;
  & > svg {
    color: var(--quiet);
  }
  @media print {
    min-height: 0;
    & > svg {
      display: none;
    }
  }
  &[data-hovered] {
    background: var(--raised);
  }
`;

const Words = styled.span`
  display: flex;
  flex-wrap: wrap;
  gap: 0 0.8rem;
  justify-content: space-between;
  align-items: baseline;
`;

const Value = styled.span`
  font-weight: 600;
  overflow-wrap: anywhere;
  display: -webkit-box;
  -webkit-box-orient: vertical;
  -webkit-line-clamp: 2;
  overflow: hidden;
`;

/** What is recorded of one question, in a line; pressed, it is asked again. With nothing recorded it is there to be added. */
export function RecordedLine({
  label,
  says,
  onPress,
}: {
  readonly label: string;
  readonly says: string;
  readonly onPress: () => void;
}) {
  return (
    <Line data-line={label} onPress={onPress} {...(says === '' ? { className: 'no-print' } : {})}>
      <Words>
        <span className="quiet">
          {label}
          <span className="unseen">:</span>
        </span>
        <Value>{says}</Value>
      </Words>
      {says === '' ? <Plus size={17} aria-hidden /> : <Pencil size={16} aria-hidden />}
      <span className="unseen">{says === '' ? 'Add' : 'Change'}</span>
    </Line>
  );
}
