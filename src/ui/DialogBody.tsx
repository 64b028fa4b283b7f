'use client';

import type { ReactNode } from 'react';
import { Dialog, Heading } from 'react-aria-components/Dialog';
import { Modal, ModalOverlay } from 'react-aria-components/Modal';
import styled from 'styled-components';

const Overlay = styled(ModalOverlay)`
  position: fixed;
  inset: 0;
  z-index: 10;
  display: grid;
  justify-items: center;
  align-items: start;
  padding: 9vh 12px 12px;
  background: color-mix(in srgb, var(--enamel-sunk) 72%, transparent);
`;

const Sheet = styled(Modal)<{ $width: number }>`
  width: min(${({ $width }) => $width}px, 100%);
  max-height: 84vh;
  overflow: auto;
  border: 2px solid var(--ink);
  border-radius: 2px;
  background: var(--enamel);
`;

const Inner = styled(Dialog)`
  display: grid;
  gap: 14px;
  padding: 18px 20px 20px;
  outline: none;

  h2 {
    font-size: 20px;
  }
`;

/** A question or a list over the page; Escape leaves it. */
export default function DialogBody({
  title,
  onClose,
  width = 520,
  children,
}: {
  title: string;
  onClose: () => void;
  width?: number;
  children: ReactNode;
}) {
  return (
    <Overlay isOpen onOpenChange={onClose} isDismissable>
      <Sheet $width={width}>
        <Inner>
          <Heading slot="title" level={2}>
            {title}
          </Heading>
          {children}
        </Inner>
      </Sheet>
    </Overlay>
  );
}
