import { NODE_NAMES } from '@keen-gauge/core/survey/words/words';
import { onShape } from '@keen-gauge/core/tree/edit';
import { STARTING_SHAPES, type StartingShape } from '@keen-gauge/core/tree/shapes';
import { Button } from 'react-aria-components';
import styled from 'styled-components';
import { useSurvey } from '../survey/SurveyContext';

const Tiles = styled.div`
  display: grid;
  gap: 0.5rem;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 13.5rem), 1fr));
`;

const Tile = styled(Button)`
  display: grid;
  grid-template-columns: 54px 1fr;
  gap: 0.6rem;
  align-items: center;
  text-align: left;
  min-height: 76px;
  padding: 0.5rem 0.7rem;
  border: 1.5px solid var(--line);
  border-radius: var(--corner);
  background: var(--surface);
  color: var(--ink);
  font: inherit;
  cursor: pointer;
  &[data-hovered] {
    border-color: var(--ink);
    background: var(--raised);
  }
`;

/** A usual shape of a supply in miniature: the way down from the street, and what branches off. */
function Miniature({ shape }: { readonly shape: StartingShape }) {
  const at = new Map<string, { x: number; y: number }>();
  const fed = (id: string | undefined): number => shape.nodes.filter(({ fedFrom }) => fedFrom === id).length;
  const step = 58 / Math.max(5, shape.nodes.length);
  const lines: string[] = [];
  shape.nodes.forEach(({ id, fedFrom }, index) => {
    const from = fedFrom === undefined ? undefined : at.get(fedFrom);
    const here = { x: (from?.x ?? 8) + (from && fed(fedFrom) > 1 ? 14 : 0), y: 4 + index * step };
    at.set(id, here);
    if (from) lines.push(`M${from.x} ${from.y}V${here.y}H${here.x}`);
  });
  const dot = Math.min(5, step * 0.55);
  return (
    <svg width={54} height={64} aria-hidden focusable="false">
      <path d={lines.join('')} fill="none" stroke="var(--ink)" strokeWidth={1.6} />
      {shape.nodes.map(({ id, kind }) => {
        const place = at.get(id) ?? { x: 0, y: 0 };
        const filled = kind === 'board' || kind === 'cut-out';
        return (
          <rect
            key={id}
            x={place.x - dot}
            y={place.y - dot * 0.7}
            width={dot * 2}
            height={dot * 1.4}
            rx={1.5}
            fill={filled ? 'var(--ink)' : 'var(--surface)'}
            stroke="var(--ink)"
            strokeWidth={1.3}
          >
            <title>{NODE_NAMES[kind]}</title>
          </rect>
        );
      })}
    </svg>
  );
}

/** Starting shapes, one tap each. What was recorded of parts that stay is kept; undo brings the old shape back. */
export function ShapeTiles({ onChosen }: { readonly onChosen?: () => void }) {
  const { survey, store } = useSurvey();
  return (
    <Tiles>
      {STARTING_SHAPES.map((shape) => (
        <Tile
          key={shape.id}
          onPress={() => {
            store.edit(onShape(survey, shape.nodes, shape.phases));
            onChosen?.();
          }}
        >
          <Miniature shape={shape} />
          <span>
            <strong>{shape.name}</strong>
            <span className="quiet" style={{ display: 'block', fontSize: '0.86rem', lineHeight: 1.25 }}>
              {shape.note}
            </span>
          </span>
        </Tile>
      ))}
    </Tiles>
  );
}
