import { Link, useOutletContext } from 'react-router';
import styled from 'styled-components';
import { useTitle } from '../app/use-title';
import { Stack } from '../kit/Panel';
import type { Me } from '../api/me';
import { ChecklistsPanel } from './ChecklistsPanel';
import { EquipmentPanel } from './EquipmentPanel';
import { FirmRecordPanel } from './FirmRecordPanel';
import { StuckPanel } from './StuckPanel';
import { TermsPanel } from './TermsPanel';

const Page = styled.main`
  max-width: 60rem;
  margin: 0 auto;
  padding: 1rem clamp(0.7rem, 2vw, 1.4rem) 3rem;
`;

/** What a firm sets for itself: the charging equipment it fits, and what the options cost it. */
export default function FirmPage() {
  useTitle('Firm settings');
  const me = useOutletContext<Me>();
  return (
    <Page id="main">
      <Stack>
        <div>
          <Link to="/">Jobs</Link>
          <h1>Firm settings</h1>
          <p className="quiet">
            Kinds of equipment to fill new chargers in from, and what the options cost and how long they take here.
          </p>
        </div>
        <p>
          <Link to="/firm/rules">Rules: which hold where, and what they say</Link>
        </p>
        <StuckPanel me={me} />
        <EquipmentPanel />
        <TermsPanel />
        <ChecklistsPanel me={me} />
        <FirmRecordPanel />
      </Stack>
    </Page>
  );
}
