import styled from 'styled-components';
import { LightSwitch } from '../app/LightSwitch';
import { Mark } from '../app/Mark';
import { Stack } from '../kit/Panel';

const Page = styled.main`
  min-height: 100vh;
  display: grid;
  place-content: center;
  grid-template-columns: min(26rem, 100% - 2rem);
  gap: 1.2rem;
  padding: 1rem 0;
`;

/** A page for somebody who is not signed in. */
export function OpenPage({ title, lead, children }: { title: string; lead: string; children: React.ReactNode }) {
  return (
    <Page>
      <Stack style={{ justifyItems: 'center', textAlign: 'center' }}>
        <Mark size={54} />
        <h1>{title}</h1>
        <p className="quiet">{lead}</p>
      </Stack>
      {children}
      <div style={{ justifySelf: 'center' }}>
        <LightSwitch />
      </div>
    </Page>
  );
}
