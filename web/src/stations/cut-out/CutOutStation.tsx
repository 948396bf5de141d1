import { supplyTree } from '@keen-gauge/core/tree/supply-tree';
import { nodeName } from '@keen-gauge/core/survey/words/words';
import { Link } from 'react-router';
import { FieldGrid } from '../../kit/fields';
import { Notice } from '../../kit/Notice';
import { Panel } from '../../kit/Panel';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { ReadingsPanel } from '../../readings/ReadingsPanel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundNumber } from '../bound';
import { StationFrame } from '../StationFrame';
import { ConditionPanel } from './ConditionPanel';
import { FuseLetter } from './FuseLetter';
import { Field } from '../../fields/Field';

/** What the intake looks like, the fuse everything is held against, how it is known, and what was measured there. */
export default function CutOutStation() {
  const { survey, assessment, job } = useSurvey();
  const device = supplyTree(survey).device?.node;
  return (
    <StationFrame
      station="cut-out"
      lead="Look, and touch nothing of the operator’s: only the operator may draw a cut-out fuse or break its seal."
    >
      <ConditionPanel />
      <Panel aria-label="Cut-out fuse">
        <h2>{device?.kind === 'switch-fuse' ? nodeName(device) : 'Cut-out fuse'}</h2>
        {device?.kind === 'switch-fuse' && (
          <p className="quiet">The head holds a solid link: this switch-fuse limits the supply.</p>
        )}
        <Field path={['supply', 'phases']} />
        {device ? (
          <>
            <FieldGrid>
              <BoundNumber
                path={['supply', 'nodes', device.id, 'ratingA']}
                label="Fuse rating, each phase"
                usual={[60, 80, 100]}
              />
              {device.kind === 'cut-out' && <Field path={['supply', 'nodes', device.id, 'holderMaximumA']} />}
            </FieldGrid>
            <Field path={['supply', 'nodes', device.id, 'evidence']} />
            <Field path={['supply', 'nodes', device.id, 'evidenceNote']} />
            <PhotoStrip subject="node" subjectId={device.id} of="Cut-out fuse" />
            {!assessment.supply.ratingEstablished && <FuseLetter />}
          </>
        ) : (
          <Notice kind="ask" title="This survey has no cut-out in its supply.">
            Start from a shape at the <Link to={`/jobs/${job.id}/line-up`}>line-up</Link>.
          </Notice>
        )}
      </Panel>
      <ReadingsPanel kinds={['voltage', 'prospective-fault-current', 'clamp-current']} nodeId={device?.id} />
    </StationFrame>
  );
}
