import { billed, costsOf, coveringPrice, ownCostsOf, type BilledMonth } from '@keen-gauge/core/pool/billing';
import { pounds } from '@keen-gauge/core/money/pence';
import { saveCsv } from '../kit/csv';
import { jobNumber } from '../api/jobs';
import { Button } from '../kit/Button';
import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { Panel, Row } from '../kit/Panel';
import { Table } from '../kit/Table';
import { BoundNumber } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

/** What is shown beside the mileage that is reckoned with. */
const MILEAGES = [4000, 8000, 12_000] as const;
const USUAL_MILES = 8000;

/** The price a kilowatt-hour that covers the row, and what an outlet costs a month, beside an own supply. */
export function BillingPanel() {
  const { survey, rules, job } = useSurvey();
  const { pool } = survey;
  const typed = pool?.costs;
  const costs = costsOf(typed);
  const cars = pool?.ceilingCars ?? pool?.outlets.length ?? 0;
  const miles = typed?.milesPerYear ?? USUAL_MILES;
  const kwhPerYear = cars * miles * rules.kwhPerMile.value;
  const price = costs === null ? null : coveringPrice(costs, kwhPerYear);
  const months =
    price === null
      ? []
      : billed(
          price,
          [...new Set([...MILEAGES, miles])].sort((a, b) => a - b),
          rules.kwhPerMile.value,
          ownCostsOf(typed),
        );
  return (
    <Panel aria-label="Billing back">
      <More
        label={<h2 style={{ display: 'inline' }}>Billing back</h2>}
        note="the price that covers it, outlet by outlet"
      >
        <FieldGrid>
          <BoundNumber path={['pool', 'costs', 'energyPencePerKwh']} label="Energy" />
          <BoundNumber path={['pool', 'costs', 'standingPencePerDay']} label="Standing charge" />
          <BoundNumber path={['pool', 'costs', 'upkeepPounds']} label="Upkeep" />
          <BoundNumber path={['pool', 'costs', 'installationPounds']} label="Installation" />
          <BoundNumber path={['pool', 'costs', 'overYears']} label="Earned back in, years" />
          <BoundNumber path={['pool', 'costs', 'milesPerYear']} label={`Each car a year (left out, ${USUAL_MILES})`} />
          <BoundNumber path={['pool', 'costs', 'ownEnergyPencePerKwh']} label="From an own supply: energy" />
          <BoundNumber path={['pool', 'costs', 'ownInstallationPounds']} label="From an own supply: installation" />
        </FieldGrid>
        {price === null ? (
          <p className="quiet">Energy, standing charge, upkeep, installation and years give the price.</p>
        ) : (
          <>
            <p>
              <strong>{price.toFixed(2)} p a kilowatt-hour</strong> covers energy, standing charge, upkeep and the
              installation with {cars} cars of {miles} miles a year, {Math.round(kwhPerYear)} kWh.
            </p>
            <Months months={months} />
            <Row>
              <Button
                onPress={() => {
                  void saveMonths(`${jobNumber(job.number)}-billing.csv`, months);
                }}
              >
                Save as CSV
              </Button>
            </Row>
          </>
        )}
      </More>
    </Panel>
  );
}

function Months({ months }: { readonly months: readonly BilledMonth[] }) {
  return (
    <Table
      label="An outlet a month"
      figures
      columns={['Miles a year', 'kWh', 'From the row', 'From an own supply']}
      rows={months.map(({ milesPerYear, kwh, pence, ownPence }) => ({
        id: String(milesPerYear),
        about: milesPerYear,
        cells: [Math.round(kwh), pounds(pence), ownPence === null ? 'not known' : pounds(ownPence)],
      }))}
    />
  );
}

const saveMonths = (name: string, months: readonly BilledMonth[]): Promise<void> =>
  saveCsv(name, [
    ['miles a year', 'kWh a month', 'from the row, £ a month', 'from an own supply, £ a month'],
    ...months.map(({ milesPerYear, kwh, pence, ownPence }) => [
      String(milesPerYear),
      kwh.toFixed(1),
      (pence / 100).toFixed(2),
      ownPence === null ? '' : (ownPence / 100).toFixed(2),
    ]),
  ]);
