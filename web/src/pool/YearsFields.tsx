import { carsAlong } from '@keen-gauge/core/pool/growth';
import type { PoolYearCars } from '@keen-gauge/core/survey/pool';
import { Button } from '../kit/Button';
import { FieldGrid } from '../kit/fields';
import { More } from '../kit/More';
import { Row } from '../kit/Panel';
import { BoundNumber, freshId } from '../stations/bound';
import { useSurvey } from '../survey/SurveyContext';

const AT_FIRST = 10;
const MOST = 50;

/** Cars year by year, typed instead of the curve. */
export function YearsFields() {
  const { survey, store } = useSurvey();
  const { pool } = survey;
  if (!pool) return null;
  const years = pool.carsByYear ?? [];
  const keep = (carsByYear: readonly PoolYearCars[]): void => {
    const { carsByYear: _former, ...rest } = pool;
    store.edit({ ...survey, pool: carsByYear.length === 0 ? rest : { ...rest, carsByYear: [...carsByYear] } });
  };
  const next = Math.max(pool.firstYear ?? new Date().getFullYear(), ...years.map(({ year }) => (year ?? 0) + 1));
  return (
    <More label="Year by year" note={years.length === 0 ? 'along the curve above' : 'entered; the curve is not used'}>
      {years.map(({ id, year }) => (
        <FieldGrid key={id}>
          <BoundNumber path={['pool', 'carsByYear', id, 'year']} label="Year" />
          <BoundNumber
            path={['pool', 'carsByYear', id, 'cars']}
            label={year === undefined ? 'Cars' : `Cars in ${year}`}
          />
        </FieldGrid>
      ))}
      <Row>
        {years.length === 0 && pool.firstYear !== undefined && pool.middleYear !== undefined && (
          <Button
            onPress={() => {
              const { firstYear = 0, middleYear = 0, startCars = 0, ceilingCars = pool.outlets.length } = pool;
              const curve = carsAlong({ firstYear, middleYear, startCars, ceiling: ceilingCars }, AT_FIRST);
              keep(curve.map((each) => ({ id: freshId('year'), ...each })));
            }}
          >
            Start from the curve
          </Button>
        )}
        {years.length < MOST && (
          <Button
            onPress={() => {
              keep([...years, { id: freshId('year'), year: next }]);
            }}
          >
            Add a year
          </Button>
        )}
        {years.length > 0 && (
          <Button
            onPress={() => {
              keep([]);
            }}
          >
            Back to the curve
          </Button>
        )}
      </Row>
    </More>
  );
}
