import type { Figure } from '@keen-gauge/core/worked';
import { useState } from 'react';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { figureText } from './figure-text';
import { WorkingSheet } from './Working';

const Face = styled(Button)`
  display: grid;
  text-align: left;
  align-content: start;
  min-height: 44px;
  padding: 0.25rem 0.6rem 0.3rem;
  border: 1px solid transparent;
  border-left: 4px solid var(--mark, var(--line));
  border-radius: 0 var(--corner) var(--corner) 0;
  background: transparent;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  &[data-hovered] {
    background: var(--raised);
    border-color: var(--line) var(--line) var(--line) var(--mark, var(--line));
  }
`;

const Name = styled.span`
  font-size: 0.82rem;
  color: var(--quiet);
`;

const Value = styled.span`
  font: 700 1.12rem/1.2 var(--figures);
  font-variant-numeric: tabular-nums;
  white-space: nowrap;
`;

const Under = styled.span`
  font-size: 0.8rem;
  color: var(--quiet);
  line-height: 1.25;
`;

export interface FigureButtonProps {
  readonly name: string;
  readonly figure: Figure;
  readonly under?: React.ReactNode;
  readonly colour?: string;
}

/** A figure that opens its working when pressed. */
export function FigureButton({ name, figure, under, colour }: FigureButtonProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Face
        onPress={() => {
          setOpen(true);
        }}
        aria-label={`${name}: ${figureText(figure)}. Show the working.`}
        style={colour === undefined ? undefined : ({ '--mark': colour } as React.CSSProperties)}
      >
        <Name>{name}</Name>
        <Value>{figureText(figure)}</Value>
        {under !== undefined && <Under>{under}</Under>}
      </Face>
      <WorkingSheet
        figure={open ? figure : null}
        onClose={() => {
          setOpen(false);
        }}
      />
    </>
  );
}
