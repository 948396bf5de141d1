import { USUAL_DRIVERS } from '@keen-gauge/core/pool/drivers';
import type { PoolDrivers } from '@keen-gauge/core/survey/pool';
import { Button } from '../kit/Button';
import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { Row } from '../kit/Panel';
import { BoundNumber, BoundText, freshId } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

const MOST_KINDS = 10;

/** Who drives the cars: usual kinds until others are typed; with one of each, a driver for each car. */
export function DriversFields() {
  const { survey, store } = useSurvey();
  const { pool } = survey;
  if (!pool) return null;
  const kinds = pool.drivers ?? [];
  const keep = (drivers: readonly PoolDrivers[]): void => {
    const { drivers: _former, ...rest } = pool;
    store.edit({ ...survey, pool: drivers.length === 0 ? rest : { ...rest, drivers: [...drivers] } });
  };
  return (
    <More
      label="Drivers"
      note={kinds.length === 0 ? 'usual commuters, shift workers, visitors' : kinds.map(nameOf).join(', ')}
    >
      <p className="quiet">
        When they arrive and leave, how much energy they need, and how often. A spread is how far two days in three stay
        from the usual figure.
      </p>
      {kinds.map((kind, at) => (
        <Kind
          key={kind.id}
          kind={kind}
          at={at}
          onRemove={() => {
            keep(kinds.filter((each) => each !== kind));
          }}
        />
      ))}
      <Row>
        {kinds.length === 0 && (
          <Button
            onPress={() => {
              keep(USUAL_DRIVERS.map((each) => ({ ...each, id: freshId('drivers') })));
            }}
          >
            Start from the usual three
          </Button>
        )}
        {kinds.length < MOST_KINDS && (
          <Button
            onPress={() => {
              keep([...kinds, { id: freshId('drivers'), label: `Driver ${kinds.length + 1}`, share: 1 }]);
            }}
          >
            Add a type of driver
          </Button>
        )}
      </Row>
    </More>
  );
}

function nameOf({ label }: PoolDrivers): string {
  return label ?? 'no name';
}

function Kind({
  kind,
  at,
  onRemove,
}: {
  readonly kind: PoolDrivers;
  readonly at: number;
  readonly onRemove: () => void;
}) {
  const place = ['pool', 'drivers', kind.id] as const;
  return (
    <More label={kind.label ?? `Driver ${at + 1}`} note={hoursWords(kind)}>
      <FieldGrid>
        <BoundText path={[...place, 'label']} label="Name" />
        <BoundNumber path={[...place, 'share']} label="How many" />
        <BoundNumber path={[...place, 'arrivesH']} label="Arrives at" />
        <BoundNumber path={[...place, 'arrivesSpreadH']} label="Arrival spread" />
        <BoundNumber path={[...place, 'leavesH']} label="Leaves at" />
        <BoundNumber path={[...place, 'leavesSpreadH']} label="Departure spread" />
        <BoundNumber path={[...place, 'kwhPerDay']} label="Energy each day" />
        <BoundNumber path={[...place, 'kwhSpread']} label="Energy spread" />
        <BoundNumber path={[...place, 'daysAWeek']} label="Days a week" />
        <BoundNumber path={[...place, 'onboardA']} label="Car’s own charger" />
      </FieldGrid>
      <Row>
        <Button onPress={onRemove}>Remove</Button>
        <span className="quiet">Empty fields are those of a usual commuter.</span>
      </Row>
    </More>
  );
}

function hoursWords({ arrivesH, leavesH, kwhPerDay }: PoolDrivers): string | undefined {
  if (arrivesH === undefined || leavesH === undefined) return undefined;
  return `${clock(arrivesH)} to ${clock(leavesH)}${kwhPerDay === undefined ? '' : `, ${kwhPerDay} kWh`}`;
}

/** Hours as a clock shows them. @example clock(7.5) // '07:30' */
function clock(hours: number): string {
  const minutes = Math.round(hours * 60) % 1440;
  return `${String(Math.floor(minutes / 60)).padStart(2, '0')}:${String(minutes % 60).padStart(2, '0')}`;
}
