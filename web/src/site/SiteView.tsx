import { suppliesOfSite } from '@keen-gauge/core/site/supplies';
import { Link } from 'react-router';
import { Stack } from '../kit/Panel';
import { AskedFields, NOTHING_ASKED } from '../stations/AsLine';
import { useSurvey } from '../survey/SurveyContext';
import { BaysPanel } from './BaysPanel';
import { BuildingPanel } from './BuildingPanel';
import { PricesPanel } from './PricesPanel';
import { SuppliesPanel } from './SuppliesPanel';

/** Several supplies behind one intake: what each carries, what the building takes, and which of them feeds which bay. */
export default function SiteView() {
  const { survey, assessment, job } = useSurvey();
  const supplies = suppliesOfSite(survey, assessment);
  return (
    <Stack>
      <div>
        <h1 id="station-name" tabIndex={-1}>
          Supplies and bays
        </h1>
        <p className="quiet">
          The supplies behind this building’s intake, what they carry, and which of them feeds which bay. The row itself
          and how many cars it carries: <Link to={`/jobs/${job.id}/pool`}>Bays and cars</Link>.
        </p>
      </div>
      <AskedFields value={NOTHING_ASKED}>
        <SuppliesPanel supplies={supplies} />
        {supplies.length > 1 && <BuildingPanel supplies={supplies} />}
        <BaysPanel supplies={supplies} />
        {(survey.pool?.outlets.length ?? 0) > 0 && <PricesPanel />}
      </AskedFields>
    </Stack>
  );
}
