import { useEffect, useState } from 'react';
import { flushSync } from 'react-dom';
import styled from 'styled-components';
import { dayWords } from '../calendar/day-words';

const Head = styled.header`
  display: none;
  @media print {
    display: flex;
    justify-content: space-between;
    gap: 1rem;
    padding-bottom: 0.3rem;
    margin-bottom: 0.6rem;
    border-bottom: 1.5px solid #000;
    font-size: 0.9rem;
  }
`;

const quoted = (text: string): string =>
  `"${text.replace(/["\\\n]/g, (found) => (found === '\n' ? ' ' : `\\${found}`))}"`;

/** The rules of a page that repeat the head on every sheet after the first, and number them all; a browser that cannot leaves them out. */
export const pageRules = (left: string, right: string): string => `
  @page {
    margin: 16mm 12mm 14mm;
    @top-left { content: ${quoted(left)}; font: 9pt sans-serif; width: 75%; }
    @top-right { content: ${quoted(right)}; font: 9pt sans-serif; }
    @bottom-right { content: counter(page) " of " counter(pages); font: 9pt sans-serif; }
  }
  @page :first { @top-left { content: none; } @top-right { content: none; } }
`;

/** What paper needs and a screen does not: what this is, whose it is and when it was printed. A page's title names its job and place. */
export function PrintHead({ firm }: { readonly firm: string }) {
  const [head, setHead] = useState({ title: '', printed: '' });
  useEffect(() => {
    const running = new CSSStyleSheet();
    document.adoptedStyleSheets.push(running);
    const before = (): void => {
      const title = document.title.replace(/ · Keen Gauge$/, '');
      const printed = `printed ${dayWords(new Date().toISOString().slice(0, 10))}`;
      running.replaceSync(pageRules(title, printed));
      // The browser takes the page as it stands when this returns.
      flushSync(() => {
        setHead({ title, printed });
      });
    };
    window.addEventListener('beforeprint', before);
    return () => {
      window.removeEventListener('beforeprint', before);
      document.adoptedStyleSheets = document.adoptedStyleSheets.filter((sheet) => sheet !== running);
    };
  }, []);
  return (
    <Head>
      <strong>{head.title}</strong>
      <span>
        {firm}, {head.printed}
      </span>
    </Head>
  );
}
