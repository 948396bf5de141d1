/** What is explained of how figures are made; each is a document of docs/methods. */
export const METHODS = [
  'demand',
  'route',
  'earthing',
  'circuit',
  'management',
  'trial',
  'pools',
  'sites',
  'pricing',
  'calendar',
] as const;
export type Method = (typeof METHODS)[number];

export const METHOD_NAMES: Readonly<Record<Method, string>> = {
  demand: 'Maximum demand',
  route: 'Route',
  earthing: 'Earth',
  circuit: 'Circuit',
  management: 'Limiters and options',
  trial: 'Trial',
  pools: 'Bays and cars',
  sites: 'Supplies and bays',
  pricing: 'Price',
  calendar: 'Days',
};
