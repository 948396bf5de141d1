import type { Place } from '@keen-gauge/core/survey/schema/field-path';
import { NODE_NAMES } from '@keen-gauge/core/survey/words/words';
import type { SupplyNode } from '@keen-gauge/core/survey/supply';
import { Link } from 'react-router';
import { FieldGrid } from '../../kit/fields';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundNumber } from '../bound';
import { NodeCableFields } from './NodeCableFields';
import { Field } from '../../fields/Field';
import { ratingLabel, USUAL_RATINGS_A } from '../../fields/node-ratings';

/** Parts that a firm takes out: the meter and what stands before it are the operator’s. */
const GOING: readonly SupplyNode['kind'][] = ['device', 'board', 'rcd', 'feeder', 'switch-fuse', 'split-block'];

/** What is recorded of a node, by its kind. */
export function NodeFields({ node }: { readonly node: SupplyNode }) {
  const { survey, assessment, job } = useSurvey();
  const path = ['supply', 'nodes', node.id] as const;
  const { kind } = node;
  const isFuse = node.id === assessment.supply.deviceId;
  return (
    <>
      <FieldGrid>
        <Field path={[...path, 'label']} help={`Left out: ${NODE_NAMES[kind]}.`} />
        {node.head !== 'solid-link' && (
          <BoundNumber path={[...path, 'ratingA']} label={ratingLabel(kind)} usual={USUAL_RATINGS_A[kind]} />
        )}
      </FieldGrid>
      {isFuse && (
        <p className="quiet">
          How the fuse is known is said at <Link to={`/jobs/${job.id}/cut-out`}>Intake and cut-out</Link>.
        </p>
      )}
      {kind === 'cut-out' && <Field path={[...path, 'head']} />}
      {survey.supply.phases === 3 && kind !== 'service' && <Field path={[...path, 'phase']} />}
      {kind === 'rcd' || node.deviceType === 'rcbo' ? <RcdFields path={path} /> : null}
      {(kind === 'device' || kind === 'feeder') && <DeviceFields path={path} />}
      {kind === 'board' && <BoardFields path={path} />}
      {kind !== 'service' && kind !== 'cut-out' && <NodeCableFields node={node} />}
      {GOING.includes(kind) && node.planned !== true && <Field path={[...path, 'goes']} />}
    </>
  );
}

function RcdFields({ path }: { readonly path: Place<SupplyNode> }) {
  return (
    <>
      <Field path={[...path, 'rcdType']} />
      <FieldGrid>
        <Field path={[...path, 'residualMa']} />
        <Field path={[...path, 'timeDelayed']} />
        <Field path={[...path, 'sharedReason']} />
      </FieldGrid>
    </>
  );
}

function DeviceFields({ path }: { readonly path: Place<SupplyNode> }) {
  return (
    <FieldGrid>
      <Field path={[...path, 'deviceType']} />
      <Field path={[...path, 'curve']} />
      <Field path={[...path, 'poles']} />
      <Field path={[...path, 'makersFamily']} />
    </FieldGrid>
  );
}

function BoardFields({ path }: { readonly path: Place<SupplyNode> }) {
  return (
    <>
      <FieldGrid>
        <Field path={[...path, 'spareWays']} />
        <Field path={[...path, 'makersFamily']} />
        <Field path={[...path, 'enclosure']} />
        <Field path={[...path, 'place']} />
      </FieldGrid>
      <Field path={[...path, 'acceptsNewDevice']} />
    </>
  );
}
