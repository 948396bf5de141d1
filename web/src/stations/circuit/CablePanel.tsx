import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { FieldGrid } from '../../kit/fields';
import { More } from '../../kit/More';
import { Panel } from '../../kit/Panel';
import { useSurvey } from '../../survey/SurveyContext';
import { BoundNumber } from '../bound';
import { CpcFields } from './CpcFields';
import { RouteSections } from './RouteSections';
import { Field } from '../../fields/Field';

/** The cable of the new circuit and the way it goes, section by section. */
export function CablePanel({ proposal }: { readonly proposal: Proposal }) {
  const { rules } = useSurvey();
  const path = ['proposals', proposal.id, 'circuit'] as const;
  const { circuit } = proposal;
  const name = equipmentName(proposal);
  const insulation = rules.circuit.cables.value.find(({ type }) => type === circuit?.cableType)?.insulation;
  const sizes = [
    ...new Set(
      rules.circuit.cables.value
        .filter(({ type }) => circuit?.cableType === undefined || type === circuit.cableType)
        .flatMap(({ rows }) => rows.map(({ sizeMm2 }) => sizeMm2)),
    ),
  ].filter((size) => size >= 4 && size <= 16);

  return (
    <Panel aria-label={`Cable and route: ${name}`}>
      <h2>{name}: cable and route</h2>
      <FieldGrid>
        <Field path={[...path, 'cableType']} />
        <BoundNumber
          few
          path={[...path, 'sizeMm2']}
          label="Size, where chosen"
          usual={sizes}
          help="Left out, the smallest that passes is found."
        />
      </FieldGrid>
      {circuit?.cableType !== undefined && <CpcFields path={path} cable={{ type: circuit.cableType, ...circuit }} />}
      <h3>The way it goes</h3>
      <RouteSections proposal={proposal} />
      {insulation === 'thermosetting-90' && <Field path={[...path, 'terminalsFor90']} />}
      <Field path={[...path, 'concealed']} />
      <More label="Data in the same route" note="clamp lead, network cable, signal">
        <Field path={['proposals', proposal.id, 'dataLink', 'clamp']} />
        <Field path={['proposals', proposal.id, 'dataLink', 'network']} />
        <FieldGrid>
          <BoundNumber
            path={['proposals', proposal.id, 'dataLink', 'signalDbm']}
            label="Signal at the place"
            help={`A negative figure: ${rules.circuit.signalDbm.value[0]} or better is good, under ${rules.circuit.signalDbm.value[1]} is not to be relied on.`}
          />
          <Field path={['proposals', proposal.id, 'dataLink', 'lengthM']} />
        </FieldGrid>
      </More>
    </Panel>
  );
}
