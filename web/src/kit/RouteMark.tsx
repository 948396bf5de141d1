import type { RouteWay } from '@keen-gauge/core/route/ways';
import styled from 'styled-components';

/** The ways to the operator, as they are called. */
export const ROUTE_NAMES: Readonly<Record<RouteWay, string>> = {
  'fit-then-notify': 'Fit, then notify',
  'ask-then-fit': 'Ask, then fit',
  hold: 'Hold: make safe',
};

const COLOURS: Readonly<Record<RouteWay, string>> = {
  'fit-then-notify': 'var(--fit)',
  'ask-then-fit': 'var(--ask)',
  hold: 'var(--hold)',
};

/** Shapes of our own: a wire carried through, a wire that stops at a question, a wire cut by a bar. */
const SHAPES: Readonly<Record<RouteWay, React.ReactNode>> = {
  'fit-then-notify': (
    <>
      <path d="M1 10h17" />
      <path d="M14 5.500l5 4.500-5 4.500" />
    </>
  ),
  'ask-then-fit': (
    <>
      <path d="M1 10h6" />
      <path d="M10.500 6.500a3.200 3.200 0 1 1 4.200 3.700c-1 .500-1.300 1-1.300 2.300" />
      <path d="M13.400 15.600v.100" />
    </>
  ),
  hold: (
    <>
      <path d="M1 10h5M14 10h5" />
      <path d="M10 2.500v15" strokeWidth={4} />
    </>
  ),
};

const Frame = styled.span`
  display: inline-flex;
  align-items: center;
  gap: 0.4rem;
  color: var(--way);
  font-weight: 700;
  vertical-align: bottom;
  @media (min-width: 44rem) {
    &[data-short] {
      white-space: nowrap;
    }
  }
`;

/** The route: its shape, its words, its colour. */
export function RouteMark({
  way,
  words = ROUTE_NAMES[way],
  size = 20,
}: {
  readonly way: RouteWay;
  /** Where it says more than its way, such as that only the survey itself stands in between. */
  readonly words?: string;
  readonly size?: number;
}) {
  return (
    <Frame style={{ '--way': COLOURS[way] }} data-short={words === ROUTE_NAMES[way] ? '' : undefined}>
      <svg
        width={size}
        height={size}
        viewBox="0 0 20 20"
        fill="none"
        stroke="currentColor"
        strokeWidth={2.4}
        strokeLinecap="round"
        strokeLinejoin="round"
        aria-hidden
        focusable="false"
      >
        {SHAPES[way]}
      </svg>
      {words}
    </Frame>
  );
}
