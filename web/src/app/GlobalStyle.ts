import { createGlobalStyle } from 'styled-components';

/** Colours by light. `now` is what the house takes, `added` what the new load adds; each is also told by its hatching. */
export const GlobalStyle = createGlobalStyle`
  :root {
    --ground: #f1ece1; --surface: #fffdf8; --raised: #f8f3e8; --ink: #18222c; --quiet: #4d5a64; --line: #c9bfab; --strong-line: #7b7263;
    --accent: #8a3a0a; --on-accent: #ffffff; --now: #2b477a; --added: #ad4d12; --left: #1b6648;
    --fit: #17573d; --ask: #744a00; --hold: #9c1228; --focus: #0b4fc4;
    --text: 'Atkinson Hyperlegible Next Variable', 'Noto Sans', system-ui, sans-serif;
    --figures: 'Atkinson Hyperlegible Mono Variable', 'Noto Sans', ui-monospace, monospace;
    --corner: 6px;
    color-scheme: light;
  }
  :root[data-light='daylight'] {
    --ground: #ffffff; --surface: #ffffff; --raised: #ffffff; --ink: #000000; --quiet: #1c1c1c; --line: #5a5a5a; --strong-line: #000000;
    --accent: #6a2600; --now: #0a2a66; --added: #8a3300; --left: #00492e;
    --fit: #00432a; --ask: #573600; --hold: #86001a; --focus: #003ccc;
  }
  :root[data-light='cupboard'] {
    --ground: #0c0e0f; --surface: #15181a; --raised: #1c2023; --ink: #ecdcc2; --quiet: #b9ab93; --line: #3a3f42; --strong-line: #857a68;
    --accent: #e29a5e; --on-accent: #140d06; --now: #8fb0e6; --added: #e39352; --left: #74c7a0;
    --fit: #7fd0a8; --ask: #e7bd68; --hold: #ff8d96; --focus: #9cc2ff;
    color-scheme: dark;
  }
  *, *::before, *::after { box-sizing: border-box; }
  html { font-size: 17px; }
  body {
    margin: 0; background: var(--ground); color: var(--ink); font: 400 1rem/1.45 var(--text);
    -webkit-text-size-adjust: 100%; overflow-wrap: anywhere;
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
  @media print { body { background: #fff; } .no-print { display: none !important; } }
`;
