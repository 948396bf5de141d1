import type { EquipmentVerdict } from '@keen-gauge/core/equipment/judge';
import { USUAL_EQUIPMENT, withProfile } from '@keen-gauge/core/firm/equipment';
import type { EquipmentRowId, EquipmentVerdictWord } from '@keen-gauge/core/equipment/verdict';
import { PLAIN_ITEMS } from '@keen-gauge/core/materials/items';
import { equipmentName } from '@keen-gauge/core/survey/words/kinds';
import type { Proposal } from '@keen-gauge/core/survey/proposal';
import { useMemo } from 'react';
import styled from 'styled-components';
import { useEquipment } from '../../api/firm';
import { Field } from '../../fields/Field';
import { Button } from '../../kit/Button';
import { FieldGrid } from '../../kit/fields';
import { More } from '../../kit/More';
import { Panel, Row, Stack } from '../../kit/Panel';
import { StateMark } from '../../kit/StateMark';
import { useSurvey } from '../../survey/SurveyContext';
import { Meanwhile } from '../../what-if/Meanwhile';
import { useWhatIfWith } from '../../what-if/use-what-if';

const WORDS: Readonly<Record<EquipmentVerdictWord, string>> = {
  fits: 'Fits',
  'with-addition': 'Fits with an addition',
  'not-known': 'Not known yet',
  'does-not-fit': 'Does not fit',
};
const STATES = { fits: 'holds', 'with-addition': 'holds', 'not-known': 'not-known', 'does-not-fit': 'fails' } as const;

const ROW_NAMES: Readonly<Record<EquipmentRowId, string>> = {
  phases: 'Phases',
  rate: 'Rate',
  clamp: 'Clamp',
  'open-pen': 'Open PEN',
  rcd: 'RCD',
  'direct-current': '6 mA d.c.',
  network: 'Network',
  outlet: 'Lead or socket',
  reach: 'Reach',
  access: 'Strangers',
  billing: 'Billing',
  tariff: 'Tariff',
  generation: 'Generation',
  surface: 'Fixed to',
  sun: 'Sun',
  weather: 'Weather',
  height: 'Height',
  'both-directions': 'Both directions',
};

const Rows = styled.dl`
  margin: 0;
  display: grid;
  grid-template-columns: minmax(6.5rem, auto) minmax(0, 1fr);
  gap: 0.35rem 0.8rem;
  & dt {
    color: var(--quiet);
  }
  & dd {
    margin: 0;
  }
`;

const Beside = styled.div`
  display: flex;
  flex-wrap: wrap;
  gap: 0.8rem;
  align-items: start;
  & > :first-child {
    flex: 1 1 9rem;
  }
`;

/** What the place and the customer ask of the equipment, and which of the firm’s list meets it. */
export function SiteEquipmentPanel({ proposal }: { readonly proposal: Proposal }) {
  const path = ['proposals', proposal.id, 'needs'] as const;
  return (
    <Panel aria-label={`Equipment for this site: ${equipmentName(proposal)}`}>
      <More label="What is asked of it" note="by the customer and the place">
        <Field path={[...path, 'outlet']} />
        <Field path={[...path, 'tariff']} />
        <Field path={[...path, 'publicReach']} />
        {proposal.needs?.publicReach === 'yes' && <Field path={[...path, 'lock']} few={false} />}
        <Field path={[...path, 'billing']} />
        <Field path={[...path, 'followsGeneration']} />
        <Field path={[...path, 'bothDirections']} />
        <FieldGrid>
          <Field path={[...path, 'hangsOn']} />
          <Field path={[...path, 'mobileDbm']} />
        </FieldGrid>
        <Field path={[...path, 'onPost']} />
        <Field path={[...path, 'inSun']} />
        <Field path={[...path, 'inWeather']} />
        <Field path={[...path, 'networkCable']} />
      </More>
      <Compared proposal={proposal} />
    </Panel>
  );
}

function Compared({ proposal }: { readonly proposal: Proposal }) {
  const { data } = useEquipment();
  const profiles = useMemo(() => {
    const own = (data?.profiles ?? []).filter(({ retired }) => retired !== true);
    // Usual kinds, without a maker, stand in while the firm has none of its own.
    return own.length > 0 ? own : USUAL_EQUIPMENT;
  }, [data]);
  const more = useMemo(() => ({ profiles }), [profiles]);
  const { answer, ...told } = useWhatIfWith('equipmentVerdicts', more);
  const { survey, store } = useSurvey();
  const found = answer?.[proposal.id] ?? [];
  const take = (id: string): void => {
    const profile = profiles.find((each) => each.id === id);
    if (!profile) return;
    store.edit({
      ...survey,
      proposals: survey.proposals.map((each) => (each.id === proposal.id ? withProfile(each, profile) : each)),
    });
  };
  return (
    <Meanwhile title="Equipment for this site" isThere={answer !== null} {...told}>
      {[...found]
        .sort((a, b) => Number(b.profileId === proposal.profileId) - Number(a.profileId === proposal.profileId))
        .map((verdict) => (
          <OneProfile
            key={verdict.profileId}
            verdict={verdict}
            isChosen={proposal.profileId === verdict.profileId}
            onTake={() => {
              take(verdict.profileId);
            }}
          />
        ))}
    </Meanwhile>
  );
}

function OneProfile({
  verdict: { name, verdict, rows },
  isChosen,
  onTake,
}: {
  readonly verdict: EquipmentVerdict;
  readonly isChosen: boolean;
  readonly onTake: () => void;
}) {
  const adds = [...new Set(rows.flatMap((each) => each.adds))].map((id) => PLAIN_ITEMS[id]);
  const against = rows.filter((each) => each.verdict === 'does-not-fit');
  const open = rows.filter((each) => each.verdict === 'not-known');
  const note =
    against.length > 0
      ? against.map(({ says }) => says).join(' ')
      : adds.length > 0
        ? `Adds: ${adds.join(', ')}.`
        : open.length > 0
          ? `${open.length} not known yet`
          : 'Nothing to add';
  return (
    <Stack
      as="section"
      aria-label={name}
      style={{ '--gap': '0.3rem', borderTop: '1px solid var(--line)', paddingTop: '0.6rem' }}
    >
      <Row style={{ justifyContent: 'space-between' }}>
        <strong>{name}</strong>
        <StateMark state={STATES[verdict]} words={WORDS[verdict]} />
      </Row>
      <p className="quiet">{note}</p>
      <Beside>
        <More label="Row by row">
          <Rows>
            {rows.map((each) => (
              <RowWords key={each.id} name={ROW_NAMES[each.id]} row={each} />
            ))}
          </Rows>
        </More>
        <Button aria-label={`Take ${name}`} isDisabled={isChosen} onPress={onTake}>
          {isChosen ? 'Taken' : 'Take this one'}
        </Button>
      </Beside>
    </Stack>
  );
}

function RowWords({ name, row }: { readonly name: string; readonly row: EquipmentVerdict['rows'][number] }) {
  return (
    <>
      <dt>{name}</dt>
      <dd>
        <StateMark state={STATES[row.verdict]} words={WORDS[row.verdict]} /> <span>{row.says}</span>
      </dd>
    </>
  );
}
