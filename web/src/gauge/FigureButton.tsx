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
  padding-left: 0.8rem;
  border: 0;
  box-shadow: inset 4px 0 0 var(--mark, var(--line));
  background: transparent;
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  &[data-hovered] {
    background: var(--raised);
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

/** Figures that share a narrow row: smaller, and without what is written under them. */
export const TightFigures = styled.div`
  @media (max-width: 40rem) {
    ${Face} {
      padding: 0.1rem 0 0.1rem 0.5rem;
    }
    ${Name} {
      font-size: 0.74rem;
      line-height: 1.15;
    }
    ${Value} {
      font-size: 0.9rem;
    }
    ${Under} {
      display: none;
    }
  }
`;

export interface FigureButtonProps {
  readonly name: string;
  readonly figure: Figure;
  readonly under?: React.ReactNode;
  readonly colour?: string;
  /** How the value is written, where not as a reckoned figure: a fuse has no decimals. */
  readonly text?: string;
}

/** A figure that opens its working when pressed. */
export function FigureButton({ name, figure, under, colour, text = figureText(figure) }: FigureButtonProps) {
  const [open, setOpen] = useState(false);
  return (
    <>
      <Face
        onPress={() => {
          setOpen(true);
        }}
        aria-label={`${name}: ${text}. Show the working.`}
        style={colour === undefined ? undefined : { '--mark': colour }}
      >
        <Name>{name}</Name>
        <Value>{text}</Value>
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
