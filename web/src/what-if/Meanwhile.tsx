import type { ReactNode } from 'react';
import styled from 'styled-components';
import { Notice } from '../kit/Notice';
import { Stack } from '../kit/Panel';

/** The heading and how far the answer is, in one line of one height: nothing under it moves when the answer comes. */
const Head = styled.div`
  display: flex;
  align-items: baseline;
  gap: 0.8rem;
  & h2 {
    flex: none;
    max-width: 100%;
  }
  & [role='status'] {
    min-width: 0;
    overflow: hidden;
    text-overflow: ellipsis;
    white-space: nowrap;
  }
`;

interface Props {
  readonly title: string;
  /** Whether there is an answer to show at all. */
  readonly isThere: boolean;
  readonly isCurrent: boolean;
  readonly hasFailed: boolean;
  readonly children: ReactNode;
}

/** An answer reckoned beside the page: as it is, as it was a moment ago and said so, not there yet, or failed. */
export function Meanwhile({ title, isThere, isCurrent, hasFailed, children }: Props) {
  return (
    <>
      <Head>
        <h2>{title}</h2>
        <span className="quiet" role="status">
          {isCurrent || hasFailed ? '' : isThere ? 'From before your last change …' : 'Working it out …'}
        </span>
      </Head>
      {hasFailed ? (
        <Notice kind="act" title="This could not be worked out.">
          Nothing is lost. Change something, or open the page again; if it stays like this, tell whoever runs Keen
          Gauge.
        </Notice>
      ) : (
        isThere && <Stack aria-busy={!isCurrent}>{children}</Stack>
      )}
    </>
  );
}
