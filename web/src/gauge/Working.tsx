import type { Figure } from '@keen-gauge/core/worked';
import styled from 'styled-components';
import { Sheet } from '../kit/Sheet';
import { figureText } from './figure-text';

const Steps = styled.ol`
  margin: 0.8rem 0 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 0.65rem;
`;

const StepBox = styled.li`
  border-left: 3px solid var(--line);
  padding-left: 0.7rem;
  &:last-child {
    border-color: var(--accent);
  }
`;

/** How a figure came about, step by step, with the rule behind each step and where the rule comes from. */
export function WorkingSheet({ figure, onClose }: { readonly figure: Figure | null; readonly onClose: () => void }) {
  return (
    <Sheet
      title={figure ? `${figure.label}: ${figureText(figure)}` : 'Working'}
      isOpen={figure !== null}
      onClose={onClose}
    >
      {figure?.why !== undefined && <p className="quiet">{figure.why}</p>}
      {figure && figure.working.length === 0 && <p className="quiet">There is no working yet.</p>}
      <Steps>
        {figure?.working.map((step, index) => (
          <StepBox key={index}>
            <div style={{ fontWeight: 600 }}>{step.label}</div>
            <div className="quiet">{step.expression}</div>
            <div className="figures">{step.substituted}</div>
            {step.source !== undefined && (
              <div className="quiet" style={{ fontSize: '0.85rem' }}>
                Source: {step.source}
              </div>
            )}
          </StepBox>
        ))}
      </Steps>
    </Sheet>
  );
}
