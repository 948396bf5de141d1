import type { SupplyNode } from '@keen-gauge/core/survey/supply';
import { FieldGrid } from '../../kit/fields';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundNumber } from '../bound';
import { CpcFields } from '../circuit/CpcFields';
import { SectionFields } from '../circuit/SectionFields';
import { Field } from '../../fields/Field';

/** The conductors into a node, or of a device or feeder the cable it protects. */
export function NodeCableFields({ node }: { readonly node: SupplyNode }) {
  const { rules } = useSurvey();
  const path = ['supply', 'nodes', node.id, 'cable'] as const;
  const own = node.kind === 'device' || node.kind === 'feeder';
  const { cable } = node;
  const insulation = rules.circuit.cables.value.find(({ type }) => type === cable?.type)?.insulation;
  const counted = cable?.type !== undefined && cable.type !== 'tails';
  return (
    <>
      <FieldGrid>
        <BoundNumber
          path={[...path, 'sizeMm2']}
          label={own ? 'Its cable' : 'Incoming tails'}
          usual={own ? [2.5, 6, 10] : [16, 25]}
        />
        <Field path={[...path, 'lengthM']} />
        <Field path={[...path, 'type']} />
        <Field path={[...path, 'laid']} />
      </FieldGrid>
      {counted && (
        <>
          <SectionFields path={path} length={false} insulation={insulation} buried={cable.laid === 'buried'} />
          <CpcFields path={path} cable={cable} />
          {insulation === 'thermosetting-90' && <Field path={[...path, 'terminalsFor90']} />}
        </>
      )}
    </>
  );
}
