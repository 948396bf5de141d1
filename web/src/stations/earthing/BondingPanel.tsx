import {
  BONDED_PARTS,
  BONDED_PART_NAMES,
  INCOMING,
  INCOMING_NAMES,
  type BondedPart,
} from '@keen-gauge/core/survey/words/earthing-words';
import { useState } from 'react';
import styled from 'styled-components';
import { FigureButton } from '../../gauge/FigureButton';
import { AnswerRow } from '../../kit/AnswerRow';
import { FieldGrid } from '../../kit/fields';
import { NumberInput } from '../../kit/NumberInput';
import { More } from '../../kit/More';
import { Panel } from '../../kit/Panel';
import { StateMark } from '../../kit/StateMark';
import { useSurvey } from '../../survey/SurveyContext';
import { AsLine } from '../AsLine';
import { useSetMember, YES_NO } from '../bound';
import { Field } from '../../fields/Field';

/** Side by side at a desk. */
const Services = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(min(100%, 26rem), 1fr));
  gap: 0.9rem 1.6rem;
`;

/** What most houses have; the others are there to be added. */
const USUAL: ReadonlySet<BondedPart> = new Set(['gas', 'water']);

const Service = styled.section`
  border-top: 1px solid var(--line);
  padding-top: 0.7rem;
  display: grid;
  align-content: start;
  gap: 0.6rem;
`;

/** What enters the building and might bring a potential in, and whether it is bonded well enough. */
export function BondingPanel() {
  const { survey, assessment } = useSurvey();
  const { bonding } = assessment.earthing;
  // Where a part stands is settled when the station is opened: what is answered does not move under the finger.
  const [recorded] = useState(
    () => new Set(survey.earthing.services?.filter(({ incoming }) => incoming !== undefined).map(({ id }) => id)),
  );
  const isHere = (part: BondedPart): boolean => USUAL.has(part) || recorded.has(part);
  const [here, others] = [BONDED_PARTS.filter(isHere), BONDED_PARTS.filter((part) => !isHere(part))];
  return (
    <Panel aria-label="Main bonding">
      <h2>Main bonding</h2>
      <FieldGrid>
        <FigureButton name="Least main bonding conductor" figure={bonding.least} under={bonding.least.why} />
        {survey.earthing.arrangement === 'tn-c-s' && <Field path={['earthing', 'supplyNeutralMm2']} />}
      </FieldGrid>
      <Services>
        {here.map((part) => (
          <ServiceFields key={part} part={part} />
        ))}
      </Services>
      {others.length > 0 && (
        <More label="Something else" note={others.map((part) => BONDED_PART_NAMES[part].toLowerCase()).join(', ')}>
          <Services>
            {others.map((part) => (
              <ServiceFields key={part} part={part} />
            ))}
          </Services>
        </More>
      )}
    </Panel>
  );
}

function ServiceFields({ part }: { readonly part: BondedPart }) {
  const { survey, assessment } = useSurvey();
  const set = useSetMember(['earthing', 'services'], part);
  const service = survey.earthing.services?.find(({ id }) => id === part);
  const verdict = assessment.earthing.bonding.services.find(({ id }) => id === part);
  const name = BONDED_PART_NAMES[part];
  // A test tells whether a part has to be bonded; of one that is bonded, or that brings nothing in, it tells nothing.
  const mayBeTested =
    service?.resistanceKOhm !== undefined || (service?.incoming !== 'plastic' && service?.bonded !== 'yes');
  const there = service?.incoming !== undefined && service.incoming !== 'not-there';
  return (
    <Service aria-label={name}>
      <AsLine
        field={['earthing', 'services', part, 'incoming'].join('.')}
        few={!USUAL.has(part)}
        label={`${name}, where it comes in`}
        says={service?.incoming && INCOMING_NAMES[service.incoming]}
      >
        <AnswerRow
          label={`${name}, where it comes in`}
          value={service?.incoming}
          options={INCOMING.map((value) => ({ value, label: INCOMING_NAMES[value] }))}
          onChange={(value) => {
            set('incoming', value);
          }}
        />
      </AsLine>
      {verdict && (
        <p>
          <StateMark state={verdict.state} /> <span className="quiet">{verdict.why}</span>
        </p>
      )}
      {there && (
        <>
          {(service.incoming === 'metal' || verdict?.need === 'needed') && (
            <AsLine
              field={['earthing', 'services', part, 'bonded'].join('.')}
              label={`${name}: bonded?`}
              says={YES_NO.find(({ value }) => value === service.bonded)?.label}
            >
              <AnswerRow
                label={`${name}: bonded?`}
                value={service.bonded}
                options={YES_NO}
                onChange={(value) => {
                  set('bonded', value);
                }}
              />
            </AsLine>
          )}
          {(service.bonded === 'yes' || mayBeTested) && (
            <FieldGrid>
              {service.bonded === 'yes' && (
                <AsLine
                  field={['earthing', 'services', part, 'sizeMm2'].join('.')}
                  label={`${name}: bonding conductor`}
                  says={service.sizeMm2 === undefined ? undefined : `${service.sizeMm2} mm²`}
                >
                  <NumberInput
                    label={`${name}: bonding conductor`}
                    unit="mm²"
                    least={0.5}
                    most={1000}
                    usual={[6, 10, 16]}
                    value={service.sizeMm2}
                    onChange={(value) => {
                      set('sizeMm2', value);
                    }}
                  />
                </AsLine>
              )}
              {mayBeTested && (
                <AsLine
                  field={['earthing', 'services', part, 'resistanceKOhm'].join('.')}
                  few
                  label={`${name}: resistance to earth`}
                  says={service.resistanceKOhm === undefined ? undefined : `${service.resistanceKOhm} kΩ`}
                >
                  <NumberInput
                    label={`${name}: resistance to earth, where tested`}
                    unit="kΩ"
                    least={0}
                    most={1000000}
                    help="Bonding off, to the main earthing terminal."
                    value={service.resistanceKOhm}
                    onChange={(value) => {
                      set('resistanceKOhm', value);
                    }}
                  />
                </AsLine>
              )}
            </FieldGrid>
          )}
        </>
      )}
    </Service>
  );
}
