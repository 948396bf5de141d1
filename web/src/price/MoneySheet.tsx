import { pounds, type Money } from '@keen-gauge/core/money/pence';
import { useState } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { Sheet } from '../kit/Sheet';

const Press = styled(Button)`
  min-height: 44px;
  padding: 0 0.2rem;
  border: 0;
  background: transparent;
  color: var(--ink);
  font: 600 1rem/1.2 var(--text);
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
  text-decoration: underline dotted;
  text-underline-offset: 0.25em;
  cursor: pointer;
  &[data-big] {
    font-size: 1.5rem;
  }
`;

const Steps = styled.ol`
  margin: 0.8rem 0 0;
  padding: 0;
  list-style: none;
  display: grid;
  gap: 0.65rem;
  & > li {
    border-left: 3px solid var(--line);
    padding-left: 0.7rem;
  }
  & > li:last-child {
    border-color: var(--accent);
  }
`;

/** A sum; pressed, it shows how it was found, step by step. */
export function Sum({ of, big = false }: { readonly of: Money; readonly big?: boolean }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <>
      <Press
        aria-label={`${of.label}: ${pounds(of.pence)}. How it was worked out`}
        {...(big ? { 'data-big': '' } : {})}
        onPress={() => {
          setOpen(true);
        }}
      >
        {pounds(of.pence)}
      </Press>
      {isOpen && (
        <Sheet
          title={`${of.label}: ${pounds(of.pence)}`}
          isOpen
          onClose={() => {
            setOpen(false);
          }}
        >
          <Steps>
            {of.working().map((step, index) => (
              <li key={index}>
                <div style={{ fontWeight: 600 }}>{step.label}</div>
                <div className="quiet">{step.expression}</div>
                <div className="figures">{step.substituted}</div>
                {step.source !== undefined && <div className="quiet">Source: {step.source}</div>}
              </li>
            ))}
          </Steps>
        </Sheet>
      )}
    </>
  );
}
