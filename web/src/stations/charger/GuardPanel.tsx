import { exceeds } from '@keen-gauge/core/worked';
import { guardTable, type GuardCell, type GuardMode } from '@keen-gauge/core/options/guard-table';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { MoreOnPhone } from '../../kit/More';
import { Panel } from '../../kit/Panel';
import { stateOf, StateMark } from '../../kit/StateMark';
import { Table } from '../../kit/Table';
import { useSurvey } from '../../survey/SurveyContext';

/** Every node between the street and the charger, in every way of running it: what is left, or by how much it is over. */
export function GuardPanel({ proposal }: { readonly proposal: Proposal }) {
  const { survey, assessment, rules } = useSurvey();
  const table = guardTable(survey, assessment, proposal, rules);
  if (table.modes.length === 0) return null;
  return (
    <Panel aria-label={`Guards: ${proposal.label ?? 'New charger'}`}>
      <MoreOnPhone
        label={<h2 style={{ display: 'inline' }}>What each node has left</h2>}
        note={howManyHold(table.modes)}
      >
        <p className="quiet">
          Everything else there, and the charger so run, checked against each rating, street first.
        </p>
        <Table
          label="Amperes left at each node"
          figures
          short
          columns={[
            'Run at',
            'Holds?',
            ...table.nodes.map(({ label, ratingA }) => ({
              name: label,
              note: ratingA === null ? 'rating ?' : `${ratingA} A`,
            })),
          ]}
          rows={table.modes.map(({ id, name, holds, cells }) => ({
            id,
            about: name,
            cells: [
              <StateMark key="holds" state={stateOf(holds)} />,
              ...table.nodes.map((node, at) => <Cell key={node.id} cell={cells[at]} />),
            ],
          }))}
        />
      </MoreOnPhone>
    </Panel>
  );
}

/** How many ways hold; those of which it is not known are told by themselves. */
function howManyHold(modes: readonly GuardMode[]): string {
  const hold = modes.filter(({ holds }) => holds === true).length;
  const open = modes.filter(({ holds }) => holds === null).length;
  return `${hold} of ${modes.length} ways hold${open === 0 ? '' : `, ${open} not known`}`;
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
