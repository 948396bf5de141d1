import { drawLineup } from '@keen-gauge/core/lineup/drawing';
import type { Lineup, LineupRow } from '@keen-gauge/core/lineup/layout';
import { useLayoutEffect, useRef, useState } from 'react';
import { ListBox, ListBoxItem } from 'react-aria-components';
import styled from 'styled-components';
import { EVIDENCE_NAMES } from '../kit/EvidenceMark';
import { Marks } from './Marks';

const Frame = styled.div`
  position: relative;
  min-width: 0;
`;

const Rows = styled(ListBox)`
  position: absolute;
  inset: 0;
  outline: none;
`;

const Row = styled(ListBoxItem)`
  cursor: pointer;
  border-radius: 8px;
  outline: none;
  &[data-hovered] {
    background: color-mix(in srgb, var(--ink) 6%, transparent);
  }
  &[data-selected] {
    box-shadow: inset 5px 0 0 var(--accent);
    background: color-mix(in srgb, var(--accent) 9%, transparent);
  }
  &[data-focus-visible] {
    outline: 3px solid var(--focus);
    outline-offset: -3px;
  }
`;

/** A node and its figures in words. */
function spoken(row: LineupRow): string {
  const amperes = (value: number | null): string => (value === null ? 'not known' : `${value.toFixed(1)} A`);
  const rating = row.ratingA === null ? 'rating not known' : `${row.ratingA} A${row.ratingSure ? '' : ', fallback'}`;
  const left =
    row.headroomA === null
      ? 'headroom not known'
      : `${amperes(Math.abs(row.headroomA))} ${row.over ? 'over its rating' : 'left'}`;
  return [
    row.name,
    rating,
    row.evidence ? `evidence: ${EVIDENCE_NAMES[row.evidence].toLowerCase()}` : '',
    `now ${amperes(row.nowA)}`,
    `after ${amperes(row.afterA)}`,
    left,
    row.weakest ? 'weakest link' : '',
  ]
    .filter((part) => part !== '')
    .join(', ');
}

/** The supply tree from the street down, live; one node chosen at a time, by hand or with the arrow keys. */
export function LineupView({
  lineup,
  selected,
  onSelect,
}: {
  readonly lineup: Lineup;
  readonly selected: string | undefined;
  readonly onSelect: (id: string) => void;
}) {
  const frame = useRef<HTMLDivElement>(null);
  const [width, setWidth] = useState(600);
  useLayoutEffect(() => {
    const element = frame.current;
    if (!element) return;
    const measure = (): void => {
      setWidth(Math.max(280, Math.floor(element.clientWidth)));
    };
    measure();
    const watcher = new ResizeObserver(measure);
    watcher.observe(element);
    return () => {
      watcher.disconnect();
    };
  }, []);
  const drawing = drawLineup(lineup, width);
  return (
    <Frame ref={frame} style={{ height: drawing.height }}>
      <svg width={width} height={drawing.height} aria-hidden focusable="false" style={{ display: 'block' }}>
        <Marks marks={drawing.links} />
        {drawing.rows.map((row) => (
          <g key={row.id}>
            <Marks marks={row.marks} />
          </g>
        ))}
      </svg>
      <Rows
        aria-label="Supply line-up, from the street"
        selectionMode="single"
        selectionBehavior="replace"
        disallowEmptySelection
        selectedKeys={selected === undefined ? [] : [selected]}
        onSelectionChange={(keys) => {
          const [key] = keys === 'all' ? [] : [...keys];
          if (key !== undefined) onSelect(String(key));
        }}
      >
        {lineup.rows.map((row, at) => (
          <Row
            key={row.id}
            id={row.id}
            textValue={row.name}
            aria-label={spoken(row)}
            style={{ height: drawing.rows[at]?.height ?? 0 }}
          />
        ))}
      </Rows>
    </Frame>
  );
}
