import { Link } from 'react-router';
import { Stack } from '../kit/Panel';
import { AskedFields, NOTHING_ASKED } from '../stations/AsLine';
import { useSurvey } from '../survey/SurveyContext';
import { BillingPanel } from './BillingPanel';
import { CarsPanel } from './CarsPanel';
import { RowPanel } from './RowPanel';
import { SettingPanel } from './SettingPanel';
import { TrunkPanel } from './TrunkPanel';

/** A row of bays behind one set-point: its outlets and how they are held, how many cars it carries and until when, the trunk along it, and what it costs. */
export default function PoolView() {
  const { survey, job } = useSurvey();
  const laidOut = (survey.pool?.outlets.length ?? 0) > 0;
  return (
    <Stack>
      <div>
        <h1 id="station-name" tabIndex={-1}>
          Bays and cars
        </h1>
        <p className="quiet">
          Several outlets that share one supply: what holds, how many cars it carries, and until which year.{' '}
          <Link to={`/jobs/${job.id}/site`}>Which supply feeds which bay</Link>
        </p>
      </div>
      <RowPanel />
      {laidOut && (
        <AskedFields value={NOTHING_ASKED}>
          <SettingPanel />
          <CarsPanel />
          <TrunkPanel />
          <BillingPanel />
        </AskedFields>
      )}
    </Stack>
  );
}
