import { X } from 'lucide-react';
import { Dialog, Heading, Modal, ModalOverlay } from 'react-aria-components';
import styled from 'styled-components';
import { BareButton } from './Button';
import { useBackCloses } from './use-back-closes';

const Veil = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  background: rgb(10 12 14 / 0.5);
  display: flex;
  justify-content: flex-end;
  z-index: 20;
`;

const Panel = styled(Modal)`
  width: min(var(--sheet, 34rem), 100vw);
  height: 100%;
  overflow: auto;
  background: var(--surface);
  color: var(--ink);
  border-left: 2px solid var(--strong-line);
  @media (max-width: 40rem) {
    align-self: flex-end;
    height: auto;
    max-height: 88vh;
    border-left: 0;
    border-top: 2px solid var(--strong-line);
  }
`;

const Inner = styled(Dialog)`
  padding: 1rem 1.2rem 2rem;
  outline: none;
`;

const Top = styled.div`
  display: flex;
  justify-content: space-between;
  align-items: start;
  gap: 1rem;
  margin-bottom: 0.8rem;
`;

export interface SheetProps {
  readonly title: string;
  readonly isOpen: boolean;
  readonly onClose: () => void;
  readonly children: React.ReactNode;
}

/** A sheet with room for a table or a chart. */
export function WideSheet(props: SheetProps) {
  return <Sheet {...props} width="58rem" />;
}

/** A sheet at the side, or from below on a phone; Escape, Back and a tap outside put it away. */
export function Sheet({ title, isOpen, onClose, children, width }: SheetProps & { readonly width?: string }) {
  useBackCloses(isOpen, onClose);
  return (
    <Veil
      isOpen={isOpen}
      onOpenChange={(open) => {
        if (!open) onClose();
      }}
      isDismissable
    >
      <Panel style={width === undefined ? undefined : { '--sheet': width }}>
        <Inner>
          <Top>
            <Heading slot="title" level={2}>
              {title}
            </Heading>
            <BareButton onPress={onClose} aria-label="Close">
              <X size={20} aria-hidden />
            </BareButton>
          </Top>
          {children}
        </Inner>
      </Panel>
    </Veil>
  );
}
