'use client';

import type { ReactNode } from 'react';
import { Button as AriaButton } from 'react-aria-components/Button';
import styled, { css } from 'styled-components';

/** Shared by buttons and links that act as the next step. */
export const buttonLook = css`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
  min-height: 40px;
  padding: 0 14px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: var(--enamel-raised);
  color: var(--ink);
  font-weight: 560;
  text-decoration: none;
  cursor: pointer;

  &:hover,
  &[data-hovered] {
    border-color: var(--ink);
  }

  &[data-pressed] {
    background: var(--enamel-sunk);
  }

  &[data-disabled],
  &[data-pending] {
    opacity: 0.5;
    cursor: default;
  }
`;

/** Copper is kept for the one main action of a screen. */
export const mainLook = css`
  ${buttonLook}
  min-height: var(--target);
  padding: 0 20px;
  border-color: var(--copper);
  background: var(--copper);
  color: var(--copper-ink);
  font-weight: 620;

  &[data-pressed] {
    background: var(--copper);
    filter: brightness(0.9);
  }
`;

export const Button = styled(AriaButton)`
  ${buttonLook}
`;

export const MainButton = styled(AriaButton)`
  ${mainLook}
`;

const Word = styled.button`
  padding: 4px 6px;
  border: 0;
  border-radius: 2px;
  background: none;
  color: var(--ink-soft);
  text-decoration: underline;
  text-underline-offset: 3px;
  cursor: pointer;

  &:hover {
    color: var(--ink);
  }
`;

export interface PlainButtonProps {
  readonly onPress: () => void;
  readonly isDisabled?: boolean;
  /** Its command is under way: it keeps the focus, and a second press does nothing. */
  readonly isPending?: boolean;
  readonly 'aria-label'?: string;
  readonly children: ReactNode;
}

/**
 * A button that reads as a word in running text. The browser's own: rows of a table carry many, and
 * each costs the server little.
 */
export function QuietButton({
  onPress,
  isDisabled = false,
  isPending = false,
  ...rest
}: PlainButtonProps) {
  return (
    <Word
      type="button"
      onClick={isPending ? undefined : onPress}
      disabled={isDisabled}
      aria-disabled={isPending || undefined}
      {...rest}
    />
  );
}
