import type { Photo, PhotoMark } from '@keen-gauge/core/survey/photo';
import { Circle, MoveUpLeft, Trash2, Type } from 'lucide-react';
import { useState } from 'react';
import { ToggleButton } from 'react-aria-components';
import styled from 'styled-components';
import { BareButton, Button } from '../kit/Button';
import { Row, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { freshId } from '../stations/bound';
import { useSet } from '../survey/SurveyContext';
import { reach } from './reach';

/** What the next press on the picture makes; null makes nothing. */
export type Tool = { readonly kind: 'arrow' | 'ring' } | { readonly kind: 'text'; readonly text: string } | null;

const Toggle = styled(ToggleButton)`
  display: inline-flex;
  align-items: center;
  gap: 0.4rem;
  min-height: 44px;
  padding: 0.3rem 0.7rem;
  border: 1.5px solid var(--strong-line);
  border-radius: var(--corner);
  background: var(--surface);
  color: var(--ink);
  font: 600 1rem/1.2 var(--text);
  cursor: pointer;
  &[data-selected] {
    background: var(--ink);
    color: var(--surface);
  }
`;

const Mark = styled.button`
  flex: 1;
  min-height: 44px;
  text-align: left;
  border: 1px solid var(--line);
  border-radius: var(--corner);
  background: var(--surface);
  color: var(--ink);
  font: inherit;
  padding: 0.3rem 0.6rem;
`;

const NAMES = { arrow: 'Arrow', ring: 'Ring', text: 'Words' } as const;
const STEP = 0.02;
const MOVES: Readonly<Record<string, readonly [number, number]>> = {
  ArrowLeft: [-STEP, 0],
  ArrowRight: [STEP, 0],
  ArrowUp: [0, -STEP],
  ArrowDown: [0, STEP],
};

/** Tools to mark a picture with, and the marks on it, which arrow keys move. */
export function MarkTools({
  photo,
  tool,
  onTool,
}: {
  readonly photo: Photo;
  readonly tool: Tool;
  readonly onTool: (tool: Tool) => void;
}) {
  const set = useSet();
  const [words, setWords] = useState('');
  const path = ['photos', photo.id, 'marks'] as const;
  const middle = (mark: Omit<PhotoMark, 'id' | 'x' | 'y'>): void => {
    const [id, at] = [freshId('mark'), { x: 0.5, y: 0.5 }];
    const to = mark.kind === 'text' ? {} : reach(mark.kind, at, at);
    set([...path, id], { id, ...at, ...mark, ...to });
    onTool(null);
  };
  return (
    <Stack style={{ '--gap': '0.5rem' }} role="group" aria-label="Marks">
      <h3>Marks</h3>
      <Row style={{ '--gap': '0.35rem' }}>
        <Toggle
          isSelected={tool?.kind === 'arrow'}
          onChange={(on) => {
            onTool(on ? { kind: 'arrow' } : null);
          }}
        >
          <MoveUpLeft size={17} aria-hidden /> Arrow
        </Toggle>
        <Toggle
          isSelected={tool?.kind === 'ring'}
          onChange={(on) => {
            onTool(on ? { kind: 'ring' } : null);
          }}
        >
          <Circle size={17} aria-hidden /> Ring
        </Toggle>
        {tool && tool.kind !== 'text' && (
          <Button
            onPress={() => {
              middle({ kind: tool.kind });
            }}
          >
            Put it in the middle
          </Button>
        )}
      </Row>
      <Row style={{ '--gap': '0.35rem', alignItems: 'end' }}>
        <span style={{ flex: 1 }}>
          <TextInput label="Words" value={words} onChange={setWords} maxLength={80} />
        </span>
        <Button
          isDisabled={words.trim() === ''}
          onPress={() => {
            middle({ kind: 'text', text: words.trim() });
            setWords('');
          }}
        >
          <Type size={17} aria-hidden /> Put on
        </Button>
      </Row>
      {tool && <p className="quiet">Press on the picture where it is to point, and drag.</p>}
      {photo.marks?.map((mark) => (
        <Row key={mark.id} style={{ '--gap': '0.3rem' }}>
          <Mark
            aria-label={`${NAMES[mark.kind]}${mark.text ? ` “${mark.text}”` : ''}: arrow keys move it`}
            onKeyDown={(event) => {
              const move = MOVES[event.key];
              if (!move) return;
              event.preventDefault();
              set([...path, mark.id], moved(mark, move));
            }}
          >
            {NAMES[mark.kind]} {mark.text}
          </Mark>
          <BareButton
            aria-label={`Take off ${NAMES[mark.kind].toLowerCase()} ${mark.text ?? ''}`}
            onPress={() => {
              set([...path, mark.id], undefined);
            }}
          >
            <Trash2 size={17} aria-hidden />
          </BareButton>
        </Row>
      ))}
    </Stack>
  );
}

function moved(mark: PhotoMark, [dx, dy]: readonly [number, number]): PhotoMark {
  const within = (value: number): number => Math.round(Math.min(1, Math.max(0, value)) * 10_000) / 10_000;
  return {
    ...mark,
    x: within(mark.x + dx),
    y: within(mark.y + dy),
    ...(mark.toX === undefined ? {} : { toX: within(mark.toX + dx) }),
    ...(mark.toY === undefined ? {} : { toY: within(mark.toY + dy) }),
  };
}
