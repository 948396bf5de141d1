/** The ways to the network operator, the strictest last. */
export const ROUTE_WAYS = ['fit-then-notify', 'ask-then-fit', 'hold'] as const;
export type RouteWay = (typeof ROUTE_WAYS)[number];

/** The three ways as people read them. */
export const ROUTE_WORDS: Readonly<Record<RouteWay, string>> = {
  'fit-then-notify': 'Fit, then notify',
  'ask-then-fit': 'Ask, then fit',
  hold: 'Hold: make safe',
};
