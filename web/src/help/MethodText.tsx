import Markdown, { type Components } from 'react-markdown';
import { Link } from 'react-router';
import remarkGfm from 'remark-gfm';
import styled from 'styled-components';
import calendar from '../../../docs/methods/calendar.md?raw';
import circuit from '../../../docs/methods/circuit.md?raw';
import demand from '../../../docs/methods/demand.md?raw';
import earthing from '../../../docs/methods/earthing.md?raw';
import management from '../../../docs/methods/management.md?raw';
import pools from '../../../docs/methods/pools.md?raw';
import pricing from '../../../docs/methods/pricing.md?raw';
import route from '../../../docs/methods/route.md?raw';
import sites from '../../../docs/methods/sites.md?raw';
import trial from '../../../docs/methods/trial.md?raw';
import type { Method } from './methods';

const TEXTS: Readonly<Record<Method, string>> = {
  demand,
  route,
  earthing,
  circuit,
  management,
  trial,
  pools,
  sites,
  pricing,
  calendar,
};

const Text = styled.div`
  overflow-wrap: break-word;
  & > * {
    margin: 0 0 0.8rem;
  }
  & > h3 {
    margin-top: 1.2rem;
  }
  & code {
    font-family: var(--figures);
    font-size: 0.92em;
  }
  & li {
    margin-bottom: 0.3rem;
  }
`;

const Wide = styled.div`
  overflow-x: auto;
  & table {
    border-collapse: collapse;
    min-width: 44rem;
  }
  & th,
  & td {
    text-align: left;
    vertical-align: top;
    padding: 0.35rem 0.5rem;
    border-bottom: 1px solid var(--line);
  }
`;

/** Links between the documents lead to where they are read here; a table wider than a phone is moved by itself. */
const PARTS: Components = {
  h1: ({ children }) => <h2>{children}</h2>,
  h2: ({ children }) => <h3>{children}</h3>,
  a: ({ href = '', children }) => <Link to={href.replace(/^(\w+)\.md/, '/help/$1')}>{children}</Link>,
  table: ({ children }) => (
    <Wide tabIndex={0} role="region" aria-label="Table">
      <table>{children}</table>
    </Wide>
  ),
};

/** A document of how figures are made, as it is written. */
export default function MethodText({ method }: { readonly method: Method }) {
  return (
    <Text>
      <Markdown remarkPlugins={[remarkGfm]} components={PARTS}>
        {TEXTS[method]}
      </Markdown>
    </Text>
  );
}
