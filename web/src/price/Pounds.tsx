import { pounds, type Pence } from '@keen-gauge/core/money/pence';
import styled from 'styled-components';

const Amount = styled.span`
  font-variant-numeric: tabular-nums;
  font-weight: 600;
  white-space: nowrap;
`;

/** An amount in a line of text, its digits under each other's in a column. */
export function Pounds({ of }: { readonly of: Pence }) {
  return <Amount>{pounds(of)}</Amount>;
}
