import { supplyTree } from '@keen-gauge/core/tree/supply-tree';
import { EVIDENCE, type Evidence, nodeName } from '@keen-gauge/core/survey/words/words';
import { Link } from 'react-router';
import { EVIDENCE_NAMES, EvidenceMark } from '../../kit/EvidenceMark';
import { FieldGrid } from '../../kit/fields';
import { Notice } from '../../kit/Notice';
import { Panel } from '../../kit/Panel';
import { PhotoStrip } from '../../photos/PhotoStrip';
import { ReadingsPanel } from '../../readings/ReadingsPanel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundCode, BoundNumber, BoundText } from '../bound';
import { StationFrame } from '../StationFrame';
import { ConditionPanel } from './ConditionPanel';
import { EvidencePicture } from './EvidencePicture';
import { FuseLetter } from './FuseLetter';

const EVIDENCE_NOTES: Readonly<Record<Evidence, string>> = {
  assumed: 'Nothing seen; somebody said so',
  moulding: 'Read off the holder: the most it can take, never the fuse inside',
  label: 'Fuse rating legible on a label, tag or through a window; seal intact',
  record: 'The operator’s record or written reply',
  attended: 'The operator’s staff read the fuse on site',
};

/** What the intake looks like, the fuse everything is held against, how it is known, and what was measured there. */
export function CutOutStation() {
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
        <BoundCode
          path={['supply', 'phases']}
          label="Phases"
          codes={[
            { value: 1, label: 'Single-phase', note: 'One fuse' },
            { value: 3, label: 'Three-phase', note: 'Three fuses' },
          ]}
        />
        {device ? (
          <>
            <FieldGrid>
              <BoundNumber
                path={['supply', 'nodes', device.id, 'ratingA']}
                label="Fuse rating, each phase"
                usual={[60, 80, 100]}
              />
              {device.kind === 'cut-out' && (
                <BoundNumber
                  path={['supply', 'nodes', device.id, 'holderMaximumA']}
                  label="Holder moulded, at most"
                  usual={[60, 100]}
                  help="The most the carrier may hold; not the fuse inside."
                />
              )}
            </FieldGrid>
            <BoundChoice
              path={['supply', 'nodes', device.id, 'evidence']}
              label="How is the rating known?"
              help="Only the last three establish it. Otherwise the fallback is used and the operator is asked."
              tile="13rem"
              options={EVIDENCE.map((value) => ({
                value,
                label: EVIDENCE_NAMES[value],
                note: EVIDENCE_NOTES[value],
                mark: <EvidenceMark evidence={value} />,
                picture: <EvidencePicture evidence={value} />,
              }))}
            />
            <BoundText path={['supply', 'nodes', device.id, 'evidenceNote']} label="What was seen" lines />
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
