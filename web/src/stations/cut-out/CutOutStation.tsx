import { limitingDevice, supplyTree } from '@keen-gauge/core/tree/supply-tree';
import { NODE_NAMES } from '@keen-gauge/core/survey/words';
import { EvidenceMark } from '../../kit/EvidenceMark';
import { FieldGrid } from '../../kit/fields';
import { Notice } from '../../kit/Notice';
import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundChoice, BoundCode, BoundNumber, BoundText } from '../bound';
import { StationFrame } from '../StationFrame';
import { ConditionPanel } from './ConditionPanel';

/** The fuse everything is held against, how it is known, and what the intake looks like. */
export function CutOutStation() {
  const { survey } = useSurvey();
  const device = limitingDevice(supplyTree(survey))?.node;
  const chain = survey.supply.nodes.filter(({ kind }) => kind !== 'service' && kind !== 'cut-out');
  return (
    <StationFrame
      station="cut-out"
      lead="Look, and touch nothing of the operator’s: only the operator may draw a cut-out fuse or break its seal."
    >
      <ConditionPanel />
      <Panel aria-label="Cut-out fuse">
        <h2>Cut-out fuse</h2>
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
                unit="A"
                least={1}
                most={3000}
                usual={[60, 80, 100]}
              />
              <BoundNumber
                path={['supply', 'nodes', device.id, 'holderMaximumA']}
                label="Holder moulded, at most"
                unit="A"
                least={1}
                most={3000}
                usual={[60, 100]}
                help="The most the carrier may hold; not the fuse inside."
              />
            </FieldGrid>
            <BoundChoice
              path={['supply', 'nodes', device.id, 'evidence']}
              label="How is the rating known?"
              help="Only the last three establish it. Otherwise the fallback is used and the operator is asked."
              tile="13rem"
              options={[
                {
                  value: 'assumed',
                  label: 'Assumed',
                  note: 'Nothing seen; somebody said so',
                  mark: <EvidenceMark evidence="assumed" />,
                },
                {
                  value: 'moulding',
                  label: 'Moulding',
                  note: 'Read off the holder: its maximum only',
                  mark: <EvidenceMark evidence="moulding" />,
                },
                {
                  value: 'label',
                  label: 'Label',
                  note: 'Fuse rating legible on a label, tag or through a window; seal intact',
                  mark: <EvidenceMark evidence="label" />,
                },
                {
                  value: 'record',
                  label: 'Record',
                  note: 'The operator’s record or written reply',
                  mark: <EvidenceMark evidence="record" />,
                },
                {
                  value: 'attended',
                  label: 'Attended',
                  note: 'Operator’s staff read the fuse on site',
                  mark: <EvidenceMark evidence="attended" />,
                },
              ]}
            />
            <BoundText
              path={['supply', 'nodes', device.id, 'evidenceNote']}
              label="What was seen"
              lines
              maxLength={500}
            />
          </>
        ) : (
          <Notice kind="ask" title="This survey has no cut-out in its supply." />
        )}
      </Panel>
      <Panel aria-label="The rest of the chain">
        <h2>The rest of the chain</h2>
        <p className="quiet">Ratings as marked. Leave out what cannot be read.</p>
        <FieldGrid>
          {chain.map((node) => (
            <BoundNumber
              key={node.id}
              path={['supply', 'nodes', node.id, 'ratingA']}
              label={node.label ?? NODE_NAMES[node.kind]}
              unit="A"
              least={1}
              most={3000}
              usual={node.kind === 'board' ? [63, 80, 100] : [80, 100]}
            />
          ))}
        </FieldGrid>
      </Panel>
    </StationFrame>
  );
}
