import { Navigate, useOutletContext, useParams } from 'react-router';
import styled from 'styled-components';
import type { Me } from '../api/me';
import { useTitle } from '../app/use-title';
import { Stack } from '../kit/Panel';
import { ChecklistsPanel } from './ChecklistsPanel';
import { CustomerStepsPanel } from './CustomerStepsPanel';
import { EquipmentPanel } from './EquipmentPanel';
import { FIRM_SECTIONS, FirmNav, type FirmSection } from './FirmNav';
import { LessonsPanel } from '../prices/LessonsPanel';
import { PricesPanel } from '../prices/PricesPanel';
import { RatesPanel } from '../prices/RatesPanel';
import { SchemesPanel } from '../prices/SchemesPanel';
import { PeoplePanel } from '../people/PeoplePanel';
import { FirmRecordPanel } from './FirmRecordPanel';
import { MailPanel } from './MailPanel';
import { PrivacyPanel } from './PrivacyPanel';
import { StuckPanel } from './StuckPanel';
import { AddressPanel, CostsPanel, DevicesPanel } from './TermsPanel';

const Page = styled.main`
  max-width: 60rem;
  margin: 0 auto;
  padding: 1rem clamp(0.7rem, 2vw, 1.4rem) 3rem;
`;

/** What a firm sets for itself, a section at a time. */
export default function FirmPage() {
  const me = useOutletContext<Me>();
  const { section } = useParams();
  const [at, name] = FIRM_SECTIONS.find(([each]) => each === section) ?? [null, ''];
  useTitle('Firm settings', name);
  if (at === null) return <Navigate to="/firm/equipment" replace />;
  return (
    <Page id="main">
      <Stack>
        <h1>Firm settings</h1>
        <FirmNav />
        <StuckPanel me={me} />
        <Section at={at} me={me} />
      </Stack>
    </Page>
  );
}

function Section({ at, me }: { readonly at: FirmSection; readonly me: Me }) {
  switch (at) {
    case 'address':
      return <AddressPanel />;
    case 'costs':
      return <CostsPanel />;
    case 'prices':
      return <PricesPanel me={me} />;
    case 'rates':
      return <RatesPanel />;
    case 'money-help':
      return <SchemesPanel />;
    case 'lessons':
      return <LessonsPanel />;
    case 'devices':
      return <DevicesPanel />;
    case 'checklists':
      return <ChecklistsPanel me={me} />;
    case 'people':
      return <PeoplePanel me={me} />;
    case 'customer':
      return <CustomerStepsPanel />;
    case 'privacy':
      return <PrivacyPanel />;
    case 'mail':
      return <MailPanel />;
    case 'record':
      return <FirmRecordPanel />;
    default:
      return <EquipmentPanel />;
  }
}
