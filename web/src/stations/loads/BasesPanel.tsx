import { fixed, partsShown } from '@keen-gauge/core/rules/rounding';
import type { Basis, Phase } from '@keen-gauge/core/survey/words/words';
import styled from 'styled-components';
import { FigureButton, TightFigures } from '../../gauge/FigureButton';
import { Button } from '../../kit/Button';
import { Choice, type ChoiceOption } from '../../kit/Choice';
import { Panel, Row, Stack } from '../../kit/Panel';
import { setting } from '../../survey/edits';
import { useSurvey } from '../../survey/SurveyContext';
import { AsLine } from '../AsLine';
import { BoundText } from '../bound';

const Three = styled(TightFigures)`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(min(8rem, 100%), 1fr));
  gap: 0.5rem;
`;

const Compared = styled.table`
  border-collapse: collapse;
  width: 100%;
  font-variant-numeric: tabular-nums;
  & td,
  & th {
    padding: 0.25rem 0.4rem;
    border-bottom: 1px solid var(--line);
    text-align: right;
  }
  & th:first-child {
    text-align: left;
    font-weight: 400;
  }
  & tfoot th,
  & tfoot td {
    font-weight: 700;
    border-top: 2px solid var(--ink);
  }
`;

/** The demand reckoned three ways, what sets two of them apart, and the one the surveyor stands by. */
export function BasesPanel() {
  const { assessment, survey } = useSurvey();
  const { demand, supply } = assessment;
  const several = supply.phases.length > 1;
  const { basis } = survey.declaration;
  return (
    <Panel aria-label="Maximum demand, three ways">
      <h2>Maximum demand, three ways</h2>
      {supply.phases.map((phase) => (
        <PhaseBases key={phase} phase={phase} several={several} />
      ))}
      {demand.unbalancePercent !== null && (
        <p className="quiet">
          Phases differ from their mean by {demand.unbalancePercent.toFixed(0)} % at most; a new single-phase load is
          best put on <strong>{demand.emptiestPhase}</strong>.
        </p>
      )}
      <DeclaredBasis />
      {(basis === 'appliances' || basis === 'measurement') && (
        <Row style={{ alignItems: 'start' }}>
          <span style={{ flex: '2 1 18rem' }}>
            <BoundText path={['declaration', 'reason']} label="Reason" lines />
          </span>
          <span style={{ flex: '1 1 12rem' }}>
            <Declarer />
          </span>
        </Row>
      )}
    </Panel>
  );
}

const BASES = [
  { value: 'circuits', label: 'By circuits', note: 'Safe, repeatable, accepted everywhere' },
  { value: 'appliances', label: 'By appliances', note: 'Nearer to life; only as good as the list. Needs a reason' },
  {
    value: 'measurement',
    label: 'By measurement',
    note: 'What really flowed; only as good as the days logged. Needs a reason',
  },
] as const satisfies readonly ChoiceOption<Basis>[];

/** Which reckoning is stood by; whoever chooses it stands by it, in their own name. */
function DeclaredBasis() {
  const { survey, store, me } = useSurvey();
  return (
    <AsLine
      field="declaration.basis"
      label="Declared maximum demand"
      says={BASES.find(({ value }) => value === survey.declaration.basis)?.label}
    >
      <Choice
        label="Declared maximum demand"
        tile="14rem"
        options={BASES}
        value={survey.declaration.basis}
        isDisabled={me.role === 'office'}
        {...(me.role === 'office' ? { help: 'Declared by a surveyor or a supervisor.' } : {})}
        onChange={(basis) => {
          store.setAll(
            setting(['declaration', 'declaredBy'], basis === 'circuits' ? undefined : me.name),
            setting(['declaration', 'basis'], basis),
          );
        }}
      />
    </AsLine>
  );
}

/** Who stands by it: whoever is signed in and says so. */
function Declarer() {
  const { survey, store, me } = useSurvey();
  const { declaredBy } = survey.declaration;
  return (
    <Stack style={{ '--gap': '0.3rem' }}>
      <span>
        Declared by <strong>{declaredBy ?? 'nobody yet'}</strong>
      </span>
      {declaredBy !== me.name && me.role !== 'office' && (
        <Button
          onPress={() => {
            store.set(['declaration', 'declaredBy'], me.name);
          }}
        >
          Declare it as {me.name}
        </Button>
      )}
    </Stack>
  );
}

function PhaseBases({ phase, several }: { readonly phase: Phase; readonly several: boolean }) {
  const { demand } = useSurvey().assessment;
  const on = several ? `, ${phase}` : '';
  const [circuits, appliances, measured] = [
    demand.byCircuits[phase],
    demand.byAppliances[phase],
    demand.byMeasurement[phase],
  ];
  const [everything, base] = [demand.everythingOn[phase], demand.baseLoad[phase]];
  const parts = demand.comparison[phase] ?? [];
  const differ = parts.some(({ circuitsA, appliancesA }) => circuitsA !== appliancesA) && appliances?.value != null;
  // Rounded so that each column adds up to what stands under it.
  const circuitsShown = partsShown(parts.map(({ circuitsA }) => circuitsA));
  const appliancesShown = partsShown(parts.map(({ appliancesA }) => appliancesA));
  return (
    <>
      <Three>
        {circuits && (
          <FigureButton
            name={`By circuits${on}`}
            figure={circuits}
            colour="var(--now)"
            under="overstates a gas-heated home: sockets count at their device rating"
          />
        )}
        {appliances && (
          <FigureButton
            name={`By appliances${on}`}
            figure={appliances}
            colour="var(--now)"
            under="only as good as the list: what is missing is not counted"
          />
        )}
        {measured && (
          <FigureButton
            name={`By measurement${on}`}
            figure={measured}
            colour="var(--now)"
            under={measured.value === null ? (measured.why ?? '') : 'says what flowed, not what may once flow'}
          />
        )}
        {everything && (
          <FigureButton
            name={`Everything on${on}`}
            figure={everything}
            colour="var(--line)"
            under="an upper bound, not a demand"
          />
        )}
        {base && base.value !== null && (
          <FigureButton
            name={`Base load${on}`}
            figure={base}
            colour="var(--line)"
            under="a lower bound: passed 95 % of the time"
          />
        )}
      </Three>
      {differ && (
        <details>
          <summary style={{ cursor: 'pointer', minHeight: 44, display: 'flex', alignItems: 'center' }}>
            Why the two figures differ{on}
          </summary>
          <Compared>
            <thead>
              <tr>
                <th scope="col">Class</th>
                <th scope="col">circuits</th>
                <th scope="col">appliances</th>
                <th scope="col">difference</th>
              </tr>
            </thead>
            <tbody>
              {parts.map(({ class: kind, name }, at) => (
                <tr key={kind}>
                  <th scope="row">{name}</th>
                  <td>{circuitsShown[at]} A</td>
                  <td>{appliancesShown[at]} A</td>
                  <td>{apart(circuitsShown[at], appliancesShown[at])} A</td>
                </tr>
              ))}
            </tbody>
            <tfoot>
              <tr>
                <th scope="row">Together</th>
                <td>{addedUp(circuitsShown)} A</td>
                <td>{addedUp(appliancesShown)} A</td>
                <td>{apart(addedUp(circuitsShown), addedUp(appliancesShown))} A</td>
              </tr>
            </tfoot>
          </Compared>
        </details>
      )}
    </>
  );
}

function addedUp(shown: readonly string[]): string {
  return fixed(
    shown.reduce((sum, each) => sum + Number(each), 0),
    1,
  );
}

function apart(a: string | undefined, b: string | undefined): string {
  return fixed(Number(a ?? 0) - Number(b ?? 0), 1);
}
