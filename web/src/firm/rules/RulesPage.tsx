import { useOutletContext } from 'react-router';
import styled from 'styled-components';
import { useTitle } from '../../app/use-title';
import { useMe, type Me } from '../../api/me';
import { Notice } from '../../kit/Notice';
import { Stack } from '../../kit/Panel';
import { FirmNav } from '../FirmNav';
import { ComparePanel } from './ComparePanel';
import { HousePanel } from './HousePanel';
import { RuleSetsPanel } from './RuleSetsPanel';

const Page = styled.main`
  max-width: 60rem;
  margin: 0 auto;
  padding: 1rem clamp(0.7rem, 2vw, 1.4rem) 3rem;
`;

/** The rules surveys are judged by: which hold where, every set of them, and two of them side by side. */
export default function RulesPage() {
  useTitle('Rules');
  const me = useOutletContext<Me>();
  const { refresh } = useMe();
  const may = me.role === 'supervisor';
  const changed = (rules: Me['rules']): void => {
    refresh({ ...me, rules });
  };
  return (
    <Page id="main">
      <Stack>
        <div>
          <h1>Rules</h1>
          <p className="quiet">
            What decides the route. Every assessment names its rules and their version; a signed pack keeps its own.
          </p>
        </div>
        <FirmNav />
        {!may && (
          <Notice kind="note" title="Rules are changed by the firm’s supervisors. You can read and compare them." />
        )}
        <HousePanel rules={me.rules} may={may} onChanged={changed} />
        <RuleSetsPanel rules={me.rules} may={may} onChanged={changed} />
        <ComparePanel rules={me.rules} />
      </Stack>
    </Page>
  );
}
