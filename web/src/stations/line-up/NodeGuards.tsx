import { exceeds } from '@keen-gauge/core/worked';
import { Stack } from '../../kit/Panel';
import { StateMark } from '../../kit/StateMark';
import { useRunAs } from './run-as';

/** How a node stands in every way of running the charger, with the working. */
export function NodeGuards({ nodeId }: { readonly nodeId: string }) {
  const found = useRunAs().flatMap(({ id, name, cells }) => {
    const cell = cells.get(nodeId);
    return cell ? [{ id, name, cell }] : [];
  });
  const [first] = found;
  if (!first) return null;
  const { leftA: firstLeft, says: why } = first.cell;
  // Where nothing can be said of any of them, and for one reason, it is said once.
  if (firstLeft === null && found.every(({ cell }) => cell.leftA === null && cell.says === why))
    return (
      <Stack as="section" aria-label="Held against its rating" style={{ '--gap': '0.35rem' }}>
        <h3>The charger run as …</h3>
        <p style={{ margin: 0 }}>
          <StateMark state="not-known" words="None of them known yet." /> <span className="quiet">{why}</span>
        </p>
      </Stack>
    );
  return (
    <Stack as="section" aria-label="Held against its rating" style={{ '--gap': '0.35rem' }}>
      <h3>The charger run as …</h3>
      {found.map(({ id, name, cell: { leftA, says } }) => (
        <p key={id} style={{ margin: 0 }}>
          <StateMark
            state={leftA === null ? 'not-known' : exceeds(0, leftA) ? 'fails' : 'holds'}
            words={
              leftA === null ? name : `${name}: ${Math.abs(leftA).toFixed(1)} A ${exceeds(0, leftA) ? 'over' : 'left'}`
            }
          />{' '}
          <span className="quiet" style={{ overflowWrap: 'anywhere' }}>
            {says}
          </span>
        </p>
      ))}
    </Stack>
  );
}
