import { drawLineup } from '@keen-gauge/core/lineup/drawing';
import type { Lineup, LineupRow } from '@keen-gauge/core/lineup/layout';
import { createContext, memo, use, useLayoutEffect, useRef, useState } from 'react';
import { ListBox, ListBoxItem } from 'react-aria-components';
import styled from 'styled-components';
import { EVIDENCE_NAMES } from '../kit/EvidenceMark';
import { Marks } from './Marks';

const Frame = styled.div`
  position: relative;
  min-width: 0;
`;

const Rows = styled(ListBox<Item>)`
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
  const left = row.empty
    ? 'no load is recorded on it'
    : row.headroomA === null
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
    row.held === undefined ? '' : row.held === null ? 'limit: not known yet' : row.held ? 'limit: OK' : 'limit: fails',
  ]
    .filter((part) => part !== '')
    .join(', ');
}

/** What is to be said of each node. Apart from the list, which then need not be built anew for every ampere. */
const Sayings = createContext<ReadonlyMap<string, string>>(new Map());

function Said({ id }: { readonly id: string }) {
  return <span className="unseen">{use(Sayings).get(id)}</span>;
}

/** What stands for a row in the list that hands and keys move in. */
interface Item {
  readonly id: string;
  readonly name: string;
  readonly height: number;
}

/** The rows as items of the list: the very same ones until a node comes, goes, moves or is renamed. */
function useKeptItems(rows: readonly LineupRow[], height: number): readonly Item[] {
  const [kept, setKept] = useState<readonly Item[]>([]);
  const items = rows.map((row): Item => {
    const before = kept.find(({ id }) => id === row.id);
    return before?.name === row.name && before.height === height ? before : { id: row.id, name: row.name, height };
  });
  if (items.length === kept.length && items.every((item, at) => item === kept[at])) return kept;
  setKept(items);
  return items;
}

/** The supply tree from the street down, live; one node chosen at a time, by hand or with the arrow keys. */
export function LineupView({
  lineup,
  selected,
  opensAt,
  onSelect,
  onOpen,
}: {
  readonly lineup: Lineup;
  readonly selected: string | undefined;
  readonly onSelect: (id: string) => void;
  /** Where a node is edited: beside the drawing, which follows the choice, or in a sheet, which is opened. */
  readonly opensAt: 'beside' | 'sheet';
  /** Enter or a tap on a node: on to what is recorded of it. */
  readonly onOpen: (id: string) => void;
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
  const items = useKeptItems(lineup.rows, drawing.rows[0]?.height ?? 0);
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
      <Sayings value={new Map(lineup.rows.map((row) => [row.id, spoken(row)]))}>
        <NodeList items={items} selected={selected} opensAt={opensAt} onSelect={onSelect} onOpen={onOpen} />
      </Sayings>
    </Frame>
  );
}

interface NodeListProps {
  readonly items: readonly Item[];
  readonly selected: string | undefined;
  readonly opensAt: 'beside' | 'sheet';
  readonly onSelect: (id: string) => void;
  readonly onOpen: (id: string) => void;
}

/** The nodes as a list over the drawing, for hands, keys and readers of the screen; built anew only when it says something else. */
const NodeList = memo(function NodeList({ items, selected, opensAt, onSelect, onOpen }: NodeListProps) {
  return (
    <Rows
      aria-label="Supply line-up, from the street"
      items={items}
      selectionMode={opensAt === 'beside' ? 'single' : 'none'}
      selectionBehavior="replace"
      disallowEmptySelection
      onAction={(key) => {
        onOpen(String(key));
      }}
      selectedKeys={selected === undefined ? [] : [selected]}
      onSelectionChange={(keys) => {
        const [key] = keys === 'all' ? [] : [...keys];
        if (key !== undefined) onSelect(String(key));
      }}
    >
      {(item) => (
        <Row id={item.id} textValue={item.name} style={{ height: item.height }}>
          <Said id={item.id} />
        </Row>
      )}
    </Rows>
  );
});
