import styled from 'styled-components';
import { Notice } from '../kit/Notice';
import { LOG_DOUBT_WORDS } from '@keen-gauge/core/questions/loads';
import type { LogReport } from './log-worker';

const Table = styled.table`
  border-collapse: collapse;
  margin-top: 0.4rem;
  & th,
  & td {
    text-align: left;
    padding: 0.2rem 1rem 0.2rem 0;
    font-weight: 400;
  }
  & td {
    font-family: var(--figures);
  }
`;

/** Why a log may not be what it seems, and what each possible reading of the file would give. */
export function Readings({ report: { openDoubts, readings } }: { readonly report: LogReport }) {
  if (openDoubts.length === 0) return null;
  return (
    <Notice
      kind="ask"
      title={`No figure until this is settled: ${openDoubts.map((doubt) => LOG_DOUBT_WORDS[doubt]).join(' ')}`}
    >
      {readings.length > 0 && (
        <Table>
          <caption className="unseen">What each reading of the file would give</caption>
          <thead>
            <tr>
              <th scope="col">Read as</th>
              <th scope="col">Highest half hour</th>
              <th scope="col">Peak</th>
            </tr>
          </thead>
          <tbody>
            {readings.map(({ says, mean30A, peakA, plausible }) => (
              <tr key={says}>
                <th scope="row">
                  {says}
                  {plausible ? '' : ' (no supply has that)'}
                </th>
                <td>{mean30A === null ? 'not known' : `${mean30A.toFixed(1)} A`}</td>
                <td>{peakA.toFixed(1)} A</td>
              </tr>
            ))}
          </tbody>
        </Table>
      )}
      Read it another way, or keep it and say at the loads how it was settled.
    </Notice>
  );
}
