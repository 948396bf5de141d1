import { exceeds } from '@keen-gauge/core/worked';
import { guardTable, type GuardCell } from '@keen-gauge/core/options/guard-table';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import styled from 'styled-components';
import { Panel } from '../../kit/Panel';
import { stateOf, StateMark } from '../../kit/StateMark';
import { useSurvey } from '../../survey/SurveyContext';

const Scroll = styled.div`
  overflow-x: auto;
`;

const Table = styled.table`
  border-collapse: collapse;
  min-width: 100%;
  font-variant-numeric: tabular-nums;
  & th,
  & td {
    padding: 0.3rem 0.5rem;
    border-bottom: 1px solid var(--line);
    text-align: right;
    white-space: nowrap;
  }
  & th:first-child {
    text-align: left;
    font-weight: 400;
    position: sticky;
    left: 0;
    background: var(--surface);
  }
  & tfoot td {
    border-top: 2px solid var(--ink);
  }
`;

/** Every node between the street and the charger, in every way of running it: what is left, or by how much it is over. */
export function GuardPanel({ proposal }: { readonly proposal: Proposal }) {
  const { survey, assessment, rules } = useSurvey();
  const table = guardTable(survey, assessment, proposal, rules);
  if (table.modes.length === 0) return null;
  return (
    <Panel aria-label={`Guards: ${proposal.label ?? 'New charger'}`}>
      <h2>What each node has left</h2>
      <p className="quiet">Everything else there, and the charger so run, checked against each rating, street first.</p>
      <Scroll tabIndex={0} role="group" aria-label="Amperes left at each node">
        <Table>
          <thead>
            <tr>
              <th scope="col">Node</th>
              {table.modes.map(({ id, name }) => (
                <th key={id} scope="col">
                  {name}
                </th>
              ))}
            </tr>
          </thead>
          <tbody>
            {table.nodes.map(({ id, label, ratingA }, at) => (
              <tr key={id}>
                <th scope="row">
                  {label} <span className="quiet">{ratingA === null ? 'rating ?' : `${ratingA} A`}</span>
                </th>
                {table.modes.map((mode) => (
                  <td key={mode.id}>
                    <Cell cell={mode.cells[at]} />
                  </td>
                ))}
              </tr>
            ))}
          </tbody>
          <tfoot>
            <tr>
              <th scope="row">Holds?</th>
              {table.modes.map(({ id, holds }) => (
                <td key={id}>
                  <StateMark state={stateOf(holds)} />
                </td>
              ))}
            </tr>
          </tfoot>
        </Table>
      </Scroll>
    </Panel>
  );
}

function Cell({ cell }: { readonly cell: GuardCell | undefined }) {
  if (!cell || cell.leftA === null) return <span className="quiet">not known</span>;
  const over = exceeds(0, cell.leftA);
  return (
    <span className="figures" style={over ? { color: 'var(--hold)', fontWeight: 700 } : undefined}>
      {Math.abs(cell.leftA).toFixed(1)} {over ? 'over' : 'left'}
    </span>
  );
}
