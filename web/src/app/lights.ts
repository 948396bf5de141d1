/** The three lights a surveyor works in: office paper, daylight outdoors, a dark cupboard. */
export const LIGHTS = ['paper', 'daylight', 'cupboard'] as const;
export type Light = (typeof LIGHTS)[number];

export const LIGHT_NAMES: Readonly<Record<Light, string>> = {
  paper: 'Paper',
  daylight: 'Daylight',
  cupboard: 'Cupboard',
};

const KEY = 'keen-gauge-light';

/** The light chosen on this device before; Paper at first. */
export function storedLight(): Light {
  const stored = localStorage.getItem(KEY);
  return LIGHTS.find((light) => light === stored) ?? 'paper';
}

/** Puts a light on and remembers it. */
export function keepLight(light: Light): void {
  document.documentElement.dataset['light'] = light;
  localStorage.setItem(KEY, light);
}
