import { Link } from 'react-router';
import styled from 'styled-components';

/** How a survey's page is laid out: the walk beside, the gauge above, the station below it, a bar at a phone's foot. */
export const Page = styled.div`
  max-width: 84rem;
  margin: 0 auto;
  padding: 0.4rem clamp(0.5rem, 2vw, 1.4rem) 3.6rem;
  @media (min-width: 60.01rem) {
    padding-bottom: 1rem;
  }
  @media print {
    padding: 0;
    max-width: none;
  }
`;

export const Columns = styled.div`
  display: grid;
  grid-template-columns: 14.5rem minmax(0, 1fr);
  gap: 1.2rem;
  align-items: start;
  @media (max-width: 60rem) {
    grid-template-columns: minmax(0, 1fr);
  }
  @media print {
    display: block;
  }
`;

export const Aside = styled.div`
  position: sticky;
  top: 0.5rem;
  @media (max-width: 60rem) {
    display: none;
  }
`;

export const GaugeBand = styled.div`
  position: sticky;
  top: 0;
  z-index: 5;
  background: var(--ground);
  padding-bottom: 0.6rem;
  margin-bottom: 0.4rem;
  /* Held in view only where that leaves room to work: not on a low screen, nor with letters twice the size at a desk. */
  @media (max-height: 30rem) and (min-width: 44.01rem), print {
    position: static;
  }
`;

export const Steps = styled.nav`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  gap: 0.6rem;
  margin-top: 1.4rem;
  & > :last-child {
    margin-left: auto;
  }
`;

export const RoundLink = styled(Link)`
  display: grid;
  place-items: center;
  min-height: 50px;
  min-width: 44px;
  color: var(--ink);
`;

export const StepLink = styled(Link)`
  display: inline-flex;
  align-items: center;
  gap: 0.4rem;
  min-height: 46px;
  padding: 0.3rem 0.8rem;
  border: 1.5px solid var(--strong-line);
  border-radius: var(--corner);
  background: var(--surface);
  color: var(--ink);
  font-weight: 600;
  text-decoration: none;
`;
