import type { Place } from '@keen-gauge/core/survey/schema/field-path';
import { BOARD_PLACES, DEVICE_TYPES, ENCLOSURES, NODE_NAMES, type NodeKind } from '@keen-gauge/core/survey/words/words';
import type { SupplyNode } from '@keen-gauge/core/survey/supply';
import { Link } from 'react-router';
import { FieldGrid } from '../../kit/fields';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundAnswer, BoundChoice, BoundCode, BoundNumber, BoundSelect, BoundText } from '../bound';
import { DEVICE_WORDS, ENCLOSURE_WORDS, PLACE_WORDS, worded } from './node-words';
import { NodeCableFields } from './NodeCableFields';

/** Ratings usually met on each kind of node, in amperes. */
const USUAL_A: Readonly<Record<NodeKind, readonly number[]>> = {
  service: [],
  'cut-out': [60, 80, 100],
  meter: [80, 100],
  'check-meter': [40, 100],
  isolator: [100],
  'split-block': [100],
  'switch-fuse': [60, 63, 80, 100],
  board: [63, 80, 100],
  rcd: [40, 63, 80, 100],
  device: [6, 16, 20, 32, 40],
  feeder: [16, 20, 32, 40],
};

const RATING_LABELS: Partial<Readonly<Record<NodeKind, string>>> = {
  meter: 'Maximum current',
  'check-meter': 'Maximum current',
  board: 'Main switch rating',
  rcd: 'Rated current',
  service: 'What the service may carry',
};

/** What is recorded of a node, by its kind. */
export function NodeFields({ node }: { readonly node: SupplyNode }) {
  const { survey, assessment, job } = useSurvey();
  const path = ['supply', 'nodes', node.id] as const;
  const { kind } = node;
  const isFuse = node.id === assessment.supply.deviceId;
  return (
    <>
      <FieldGrid>
        <BoundText path={[...path, 'label']} label="Name" help={`Left out: ${NODE_NAMES[kind]}.`} />
        {node.head !== 'solid-link' && (
          <BoundNumber
            path={[...path, 'ratingA']}
            label={RATING_LABELS[kind] ?? 'Rating, each phase'}
            usual={USUAL_A[kind]}
          />
        )}
      </FieldGrid>
      {isFuse && (
        <p className="quiet">
          How the fuse is known is said at <Link to={`/jobs/${job.id}/cut-out`}>Intake and cut-out</Link>.
        </p>
      )}
      {kind === 'cut-out' && (
        <BoundChoice
          path={[...path, 'head']}
          label="What is in the head?"
          tile="9rem"
          options={[
            { value: 'fused', label: 'A fuse' },
            { value: 'solid-link', label: 'A solid link', note: 'A switch-fuse after it protects' },
          ]}
        />
      )}
      {survey.supply.phases === 3 && kind !== 'service' && (
        <BoundChoice
          path={[...path, 'phase']}
          label="Single-phase from here on?"
          help="What hangs below is then on that line."
          tile="4.4rem"
          options={[
            { value: 'L1', label: 'L1' },
            { value: 'L2', label: 'L2' },
            { value: 'L3', label: 'L3' },
          ]}
        />
      )}
      {kind === 'rcd' || node.deviceType === 'rcbo' ? <RcdFields path={path} /> : null}
      {(kind === 'device' || kind === 'feeder') && <DeviceFields path={path} />}
      {kind === 'board' && <BoardFields path={path} />}
      {kind !== 'service' && kind !== 'cut-out' && <NodeCableFields node={node} />}
    </>
  );
}

function RcdFields({ path }: { readonly path: Place<SupplyNode> }) {
  return (
    <>
      <BoundChoice
        path={[...path, 'rcdType']}
        label="RCD type"
        tile="4.4rem"
        options={[
          { value: 'AC', label: 'AC' },
          { value: 'A', label: 'A' },
          { value: 'F', label: 'F' },
          { value: 'B', label: 'B' },
        ]}
      />
      <FieldGrid>
        <BoundNumber path={[...path, 'residualMa']} label="Residual current" usual={[30, 100, 300]} />
        <BoundCode
          path={[...path, 'timeDelayed']}
          label="Time-delayed?"
          tile="6rem"
          codes={[
            { value: true, label: 'Yes' },
            { value: false, label: 'No' },
          ]}
        />
        <BoundText
          path={[...path, 'sharedReason']}
          label="Shared with new equipment: why"
          help="Only as a recorded exception."
        />
      </FieldGrid>
    </>
  );
}

function DeviceFields({ path }: { readonly path: Place<SupplyNode> }) {
  return (
    <FieldGrid>
      <BoundSelect path={[...path, 'deviceType']} label="Device" options={worded(DEVICE_TYPES, DEVICE_WORDS)} />
      <BoundSelect
        path={[...path, 'curve']}
        label="Curve"
        options={[
          { value: 'B', label: 'B' },
          { value: 'C', label: 'C' },
          { value: 'D', label: 'D' },
        ]}
      />
      <BoundNumber path={[...path, 'poles']} label="Poles" usual={[1, 2, 4]} />
      <BoundText path={[...path, 'makersFamily']} label="Maker’s family" />
    </FieldGrid>
  );
}

function BoardFields({ path }: { readonly path: Place<SupplyNode> }) {
  return (
    <>
      <FieldGrid>
        <BoundNumber path={[...path, 'spareWays']} label="Spare ways" usual={[0, 1, 2]} />
        <BoundText path={[...path, 'makersFamily']} label="Maker’s family" />
        <BoundSelect path={[...path, 'enclosure']} label="Enclosure" options={worded(ENCLOSURES, ENCLOSURE_WORDS)} />
        <BoundSelect path={[...path, 'place']} label="Where it is" options={worded(BOARD_PLACES, PLACE_WORDS)} />
      </FieldGrid>
      <BoundAnswer path={[...path, 'acceptsNewDevice']} label="Does its maker allow the new device in it?" />
    </>
  );
}
