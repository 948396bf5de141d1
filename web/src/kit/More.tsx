import { ChevronRight } from 'lucide-react';
import { useMedia } from '../app/use-media';
import styled from 'styled-components';

const Details = styled.details`
  & > summary {
    display: flex;
    align-items: center;
    gap: 0.4rem;
    min-height: 44px;
    cursor: pointer;
    font-weight: 600;
    list-style: none;
  }
  & > summary::-webkit-details-marker {
    display: none;
  }
  &[open] > summary > svg {
    transform: rotate(90deg);
  }
  @media (prefers-reduced-motion: no-preference) {
    & > summary > svg {
      transition: transform 0.12s;
    }
  }
`;

const Inside = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 0.9rem;
  padding-top: 0.3rem;
`;

/** What is read at a desk and in the way on a phone: open there, put away here. */
export function MoreOnPhone(props: {
  readonly label: React.ReactNode;
  readonly note?: React.ReactNode;
  readonly children: React.ReactNode;
}) {
  return <More {...props} open={useMedia('(min-width: 44rem)')} />;
}

/** What few need, put away under its name until it is wanted. A link that leads into it opens it. */
export function More({
  label,
  note,
  open = false,
  onToggle,
  children,
}: {
  readonly label: React.ReactNode;
  /** What is in it, quietly beside its name. */
  readonly note?: React.ReactNode;
  readonly open?: boolean;
  /** Told when it is opened or put away. */
  readonly onToggle?: () => void;
  readonly children: React.ReactNode;
}) {
  return (
    <Details open={open} onToggle={onToggle}>
      <summary>
        <ChevronRight size={18} aria-hidden style={{ flex: 'none' }} />
        <span>
          {label} {note !== undefined && <span style={{ fontWeight: 400, color: 'var(--quiet)' }}>{note}</span>}
        </span>
      </summary>
      <Inside>{children}</Inside>
    </Details>
  );
}
