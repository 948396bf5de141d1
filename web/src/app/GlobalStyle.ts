import { createGlobalStyle } from 'styled-components';
import { colourProperties } from './light-colours';

export const GlobalStyle = createGlobalStyle`
  :root {
    ${colourProperties('paper')}
    --text: 'Atkinson Hyperlegible Next Variable', 'Noto Sans', system-ui, sans-serif;
    --figures: 'Atkinson Hyperlegible Mono Variable', 'Noto Sans', ui-monospace, monospace;
    --corner: 6px;
    color-scheme: light;
  }
  :root[data-light='daylight'] { ${colourProperties('daylight')} }
  :root[data-light='cupboard'] { ${colourProperties('cupboard')} color-scheme: dark; }
  *, *::before, *::after { box-sizing: border-box; }
  /* 17 px, unless the reader has asked the browser for larger letters. */
  html { font-size: 106.25%; }
  /* At a desk the screen is nearer than an arm with a lamp in it. */
  @media (min-width: 70rem) { html { font-size: 100%; } }
  body {
    margin: 0; background: var(--ground); color: var(--ink); font: 400 1rem/1.45 var(--text);
    -webkit-text-size-adjust: 100%; overflow-wrap: break-word;
  }
  h1, h2, h3, p { margin: 0; }
  h1 { font-size: 1.5rem; line-height: 1.2; }
  h2 { font-size: 1.15rem; line-height: 1.25; }
  h3 { font-size: 1rem; }
  a { color: var(--accent); }
  :focus-visible, [data-focus-visible] { outline: 3px solid var(--focus); outline-offset: 2px; }
  /* What the keyboard comes to is never left under the gauge, which stays in view. */
  main :is(input, button, textarea, a, label, summary) { scroll-margin: 17rem 0 5rem; }
  .quiet { color: var(--quiet); }
  .figures { font-family: var(--figures); font-variant-numeric: tabular-nums; }
  .unseen {
    position: absolute; width: 1px; height: 1px; overflow: hidden; clip-path: inset(50%); white-space: nowrap;
  }
  @media (prefers-reduced-motion: reduce) { *, *::before, *::after { transition: none !important; animation: none !important; } }
  /* Paper is white whatever light is on, and what is chosen is seen to be. */
  @media print {
    :root[data-light] { ${colourProperties('paper')} --ground: #fff; --surface: #fff; color-scheme: light; }
    html { font-size: 11pt; }
    *, *::before, *::after { print-color-adjust: exact; }
    h1, h2, h3 { break-after: avoid; }
    tr, li, figure, label { break-inside: avoid; }
    .no-print { display: none !important; }
  }
`;
