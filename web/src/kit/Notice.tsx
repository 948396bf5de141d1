import { CircleHelp, Info, OctagonAlert, Wrench } from 'lucide-react';
import styled from 'styled-components';

/** What a notice is about; each has its own shape, word and colour. */
export type NoticeKind = 'danger' | 'act' | 'ask' | 'note';

export const NOTICE_COLOURS: Readonly<Record<NoticeKind, string>> = {
  danger: 'var(--hold)',
  act: 'var(--accent)',
  ask: 'var(--ask)',
  note: 'var(--quiet)',
};
export const NOTICE_SHAPES = { danger: OctagonAlert, act: Wrench, ask: CircleHelp, note: Info } as const;
export const NOTICE_WORDS: Readonly<Record<NoticeKind, string>> = {
  danger: 'Danger',
  act: 'To do',
  ask: 'To ask',
  note: 'Note',
};

const Frame = styled.div`
  display: grid;
  grid-template-columns: 26px minmax(0, 1fr);
  /* The room about words does not grow with their letters where there is little of it. */
  gap: 0.2rem min(0.6rem, 3vw);
  padding: 0.65rem min(0.8rem, 3.3vw);
  border: 1px solid var(--line);
  border-left: 5px solid var(--kind);
  border-radius: var(--corner);
  background: var(--surface);
  & > svg {
    color: var(--kind);
    margin-top: 0.1rem;
  }
`;

const Word = styled.span`
  color: var(--kind);
  font-weight: 700;
  margin-right: 0.15rem;
`;

export interface NoticeProps {
  readonly kind: NoticeKind;
  readonly title: string;
  readonly children?: React.ReactNode;
}

/** Something the surveyor should know, by kind. */
export function Notice({ kind, title, children }: NoticeProps) {
  const Shape = NOTICE_SHAPES[kind];
  return (
    <Frame style={{ '--kind': NOTICE_COLOURS[kind] }}>
      <Shape size={21} aria-hidden />
      <div>
        <div>
          <Word>{NOTICE_WORDS[kind]}</Word> {title}
        </div>
        {children !== undefined && <div className="quiet">{children}</div>}
      </div>
    </Frame>
  );
}
