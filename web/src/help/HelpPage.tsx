import { useState } from 'react';
import { Link, Navigate, useParams } from 'react-router';
import styled from 'styled-components';
import wording from '../../../docs/wording.md?raw';
import { ShortcutList } from '../app/ShortcutSheet';
import { useTitle } from '../app/use-title';
import { lazyPart } from '../kit/lazy-part';
import { PillNav } from '../kit/PillNav';
import { Panel, Stack } from '../kit/Panel';
import { TextInput } from '../kit/TextInput';
import { termsIn, termsWith } from './glossary';
import { METHOD_NAMES, METHODS } from './methods';

const MethodText = lazyPart(() => import('./MethodText'));

const Page = styled.main`
  max-width: 60rem;
  margin: 0 auto;
  padding: 1rem clamp(0.7rem, 2vw, 1.4rem) 3rem;
`;

const Terms = styled.dl`
  margin: 0;
  & > div {
    padding: 0.5rem 0;
    border-top: 1px solid var(--line);
  }
  & dt {
    font-weight: 600;
  }
  & dd {
    margin: 0;
  }
`;

const TERMS = termsIn(wording);

/** Help: the words, the keys, and how every figure is made. */
export default function HelpPage() {
  const { part } = useParams();
  const method = METHODS.find((each) => each === part);
  useTitle('Help', method && METHOD_NAMES[method]);
  if (part !== undefined && !method) return <Navigate to="/help" replace />;
  return (
    <Page id="main">
      <Stack>
        <h1>Help</h1>
        <PillNav
          label="Help"
          parts={[
            ['/help', 'Words and keys'],
            ...METHODS.map((each): [string, string] => [`/help/${each}`, METHOD_NAMES[each]]),
          ]}
        />
        {method ? (
          <Panel aria-label={METHOD_NAMES[method]}>
            <MethodText method={method} />
          </Panel>
        ) : (
          <>
            <Panel aria-label="How the figures are made">
              <h2>How the figures are made</h2>
              <p>
                Press any figure to see its working and where its rule comes from. What every working rests on, with
                worked examples: <Link to="/help/demand">maximum demand</Link>, <Link to="/help/route">the route</Link>,{' '}
                <Link to="/help/earthing">the earth</Link>, <Link to="/help/circuit">the circuit</Link>,{' '}
                <Link to="/help/management">limiters and options</Link>, <Link to="/help/trial">the trial</Link> and{' '}
                <Link to="/help/calendar">days</Link>.
              </p>
            </Panel>
            <Glossary />
            <Panel aria-label="Keyboard">
              <h2>Keyboard</h2>
              <ShortcutList />
            </Panel>
          </>
        )}
      </Stack>
    </Page>
  );
}

function Glossary() {
  const [search, setSearch] = useState('');
  const found = termsWith(TERMS, search);
  return (
    <Panel aria-label="Glossary">
      <h2>Glossary</h2>
      <div style={{ maxWidth: '24rem' }}>
        <TextInput
          label="Find a word"
          help="By our word or by another for it: “service head” finds cut-out."
          type="search"
          value={search}
          onChange={setSearch}
          maxLength={60}
        />
      </div>
      {found.length === 0 && <p role="status">No such word here.</p>}
      <Terms>
        {found.map(({ term, meaning, alsoCalled }) => (
          <div key={term}>
            <dt>{term}</dt>
            <dd>
              {meaning}
              {alsoCalled.length > 0 && <span className="quiet">. Also called: {alsoCalled.join(', ')}</span>}
            </dd>
          </div>
        ))}
      </Terms>
    </Panel>
  );
}
