/**
 * What is true on the bench, whatever anybody reads or believes of it: what the house takes, what the charger draws, how
 * the clamp sits, whether the vehicle is there. The other stand-ins act on it and are acted on by it.
 */
export interface World {
  /** What the house takes besides what can be switched below, in amperes. */
  readonly baseA: number;
  readonly switched: Readonly<Record<Appliance, boolean>>;
  readonly chargerA: number;
  readonly clampLead: 'in' | 'pulled';
  readonly clampArrow: 'along' | 'against';
  /** Whoever manages the charge point, as typed into it. */
  readonly manager: Manager | null;
  /** The link between the charge point and whoever manages it. */
  readonly link: 'up' | 'down';
  readonly vehicle: 'there' | 'away';
  /** How long the vehicle takes to follow what it is told, and what it takes at most. */
  readonly vehicleLagS: number;
  readonly onboardA: number;
}

/** The address to call, up to the charge point’s own name, that name, and the key it shows. */
export interface Manager {
  readonly url: string;
  readonly name: string;
  readonly key: string;
}

/** Loads to switch on and off, in amperes. */
export const APPLIANCES = { kettle: 12.6, oven: 9.8, shower: 37, heater: 13 } as const;
export type Appliance = keyof typeof APPLIANCES;

export function quietWorld(): World {
  return {
    baseA: 2.4,
    switched: { kettle: false, oven: false, shower: false, heater: false },
    chargerA: 0,
    clampLead: 'in',
    clampArrow: 'along',
    manager: null,
    link: 'up',
    vehicle: 'there',
    vehicleLagS: 2,
    onboardA: 32,
  };
}

export function houseA({ baseA, switched }: World): number {
  return Object.entries(APPLIANCES).reduce(
    (total, [name, amperes]) => total + (switched[name as Appliance] ? amperes : 0),
    baseA,
  );
}

/** The world with a change made to it; null where the change is none that can be made. */
export function changed(world: World, change: unknown): World | null {
  if (typeof change !== 'object' || change === null || Array.isArray(change)) return null;
  let next: World = world;
  for (const [key, value] of Object.entries(change as Record<string, unknown>)) {
    if (key in APPLIANCES && typeof value === 'boolean')
      next = { ...next, switched: { ...next.switched, [key]: value } };
    else if (isAmount(key) && typeof value === 'number' && value >= 0 && value <= 500) next = { ...next, [key]: value };
    else if (isWord(key) && typeof value === 'string' && WORDS[key].includes(value)) next = { ...next, [key]: value };
    else if (key === 'manager' && isManager(value)) next = { ...next, manager: value };
    else return null;
  }
  return next;
}

function isManager(value: unknown): value is Manager {
  if (typeof value !== 'object' || value === null) return false;
  const { url, name, key } = value as Record<string, unknown>;
  return typeof url === 'string' && /^wss?:\/\/\S+$/.test(url) && typeof name === 'string' && typeof key === 'string';
}

const AMOUNTS = ['baseA', 'chargerA', 'vehicleLagS', 'onboardA'] as const;
type Word = 'clampLead' | 'clampArrow' | 'link' | 'vehicle';
const WORDS: Readonly<Record<Word, readonly string[]>> = {
  clampLead: ['in', 'pulled'],
  clampArrow: ['along', 'against'],
  link: ['up', 'down'],
  vehicle: ['there', 'away'],
};

function isAmount(key: string): key is (typeof AMOUNTS)[number] {
  return (AMOUNTS as readonly string[]).includes(key);
}

function isWord(key: string): key is Word {
  return key in WORDS;
}
