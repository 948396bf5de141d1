import type { SupplyNode } from '@keen-gauge/core/survey/supply';
import { CABLE_TYPES, LAID } from '@keen-gauge/core/survey/words/words';
import { FieldGrid } from '../../kit/fields';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundAnswer, BoundNumber, BoundSelect } from '../bound';
import { CpcFields } from '../circuit/CpcFields';
import { StretchFields } from '../circuit/StretchFields';
import { CABLE_WORDS, LAID_WORDS, worded } from './node-words';

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
          label={own ? 'Its cable' : 'Conductors into it'}
          usual={own ? [2.5, 6, 10] : [16, 25]}
        />
        <BoundNumber path={[...path, 'lengthM']} label="Their length" />
        <BoundSelect path={[...path, 'type']} label="Cable" options={worded(CABLE_TYPES, CABLE_WORDS)} />
        <BoundSelect path={[...path, 'laid']} label="How laid" options={worded(LAID, LAID_WORDS)} />
      </FieldGrid>
      {counted && (
        <>
          <StretchFields path={path} length={false} insulation={insulation} buried={cable.laid === 'buried'} />
          <CpcFields path={path} cable={cable} />
          {insulation === 'thermosetting-90' && (
            <BoundAnswer
              path={[...path, 'terminalsFor90']}
              label="Are the terminals at both ends declared for 90 °C conductors?"
              help="Otherwise its 70 °C figures count."
            />
          )}
        </>
      )}
    </>
  );
}
