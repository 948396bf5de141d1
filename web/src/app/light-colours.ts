import type { Light } from './lights';

/**
 * Colours by what they are for, in each light. `now` is what the house takes, `added` what the new load adds, `left` what is left; each is also told by
 * its hatching, and every state by its shape and its word.
 */
export interface Colours {
  readonly ground: string;
  readonly surface: string;
  readonly raised: string;
  readonly ink: string;
  readonly quiet: string;
  readonly line: string;
  readonly 'strong-line': string;
  readonly accent: string;
  readonly 'on-accent': string;
  readonly now: string;
  readonly added: string;
  readonly left: string;
  readonly fit: string;
  readonly ask: string;
  readonly hold: string;
  readonly focus: string;
}

export const LIGHT_COLOURS: Readonly<Record<Light, Colours>> = {
  paper: {
    ground: '#f1ece1',
    surface: '#fffdf8',
    raised: '#f8f3e8',
    ink: '#18222c',
    quiet: '#4d5a64',
    line: '#c9bfab',
    'strong-line': '#7b7263',
    accent: '#8a3a0a',
    'on-accent': '#ffffff',
    now: '#2b477a',
    added: '#ad4d12',
    left: '#1b6648',
    fit: '#17573d',
    ask: '#744a00',
    hold: '#9c1228',
    focus: '#0b4fc4',
  },
  daylight: {
    ground: '#ffffff',
    surface: '#ffffff',
    raised: '#ffffff',
    ink: '#000000',
    quiet: '#1c1c1c',
    line: '#5a5a5a',
    'strong-line': '#000000',
    accent: '#6a2600',
    'on-accent': '#ffffff',
    now: '#0a2a66',
    added: '#8a3300',
    left: '#00492e',
    fit: '#00432a',
    ask: '#573600',
    hold: '#86001a',
    focus: '#003ccc',
  },
  cupboard: {
    ground: '#0c0e0f',
    surface: '#15181a',
    raised: '#1c2023',
    ink: '#ecdcc2',
    quiet: '#b9ab93',
    line: '#3a3f42',
    'strong-line': '#857a68',
    accent: '#e29a5e',
    'on-accent': '#140d06',
    now: '#8fb0e6',
    added: '#e39352',
    left: '#74c7a0',
    fit: '#7fd0a8',
    ask: '#e7bd68',
    hold: '#ff8d96',
    focus: '#9cc2ff',
  },
};

/** The colours of a light as custom properties of a style sheet. */
export function colourProperties(light: Light): string {
  return Object.entries(LIGHT_COLOURS[light])
    .map(([name, colour]) => `--${name}: ${colour};`)
    .join(' ');
}
