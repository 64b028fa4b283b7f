'use client';

import type { CSSProperties, ReactNode, Ref } from 'react';
import styled, { css } from 'styled-components';

/** Shared by buttons and links that act as the next step. */
export const buttonLook = css`
  display: inline-flex;
  align-items: center;
  justify-content: center;
  gap: 8px;
  min-height: var(--control);
  padding: 0 14px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: var(--enamel-raised);
  color: var(--ink);
  font-weight: 560;
  text-decoration: none;
  cursor: pointer;

  &:hover {
    border-color: var(--ink);
  }

  &:active {
    background: var(--enamel-sunk);
  }

  &:disabled,
  &[aria-disabled='true'] {
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

  &:active {
    background: var(--copper);
    filter: brightness(0.9);
  }
`;

const Plain = styled.button`
  ${buttonLook}
`;

const Main = styled.button`
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
  readonly onPress?: (() => void) | undefined;
  readonly type?: 'button' | 'submit';
  /** The form it sends, where it stands outside of it. */
  readonly form?: string;
  readonly isDisabled?: boolean;
  /** Its command is under way: it keeps the focus, and a second press does nothing. */
  readonly isPending?: boolean;
  readonly autoFocus?: boolean;
  /** One that stays down once it was pressed; absent for all others. */
  readonly isPressed?: boolean;
  readonly style?: CSSProperties;
  readonly 'aria-label'?: string;
  readonly ref?: Ref<HTMLButtonElement>;
  readonly children: ReactNode;
}

/** What the browser's own button is told; a button whose command is under way keeps the focus. */
function told({
  onPress,
  isDisabled,
  isPending,
  isPressed,
  type = 'button',
  ...rest
}: PlainButtonProps) {
  return {
    ...rest,
    type: isPending ? ('button' as const) : type,
    onClick: isPending ? undefined : onPress,
    disabled: isDisabled,
    'aria-disabled': isPending || undefined,
    'aria-pressed': isPressed,
  };
}

/*
 * The browser's own button: it is pressed by every hand and key that a page knows, and every page is
 * lighter for it (docs/architecture.md).
 */
export function Button(props: PlainButtonProps) {
  return <Plain {...told(props)} />;
}

/** The one main action of a screen. */
export function MainButton(props: PlainButtonProps) {
  return <Main {...told(props)} />;
}

/** A button that reads as a word in running text. */
export function QuietButton(props: PlainButtonProps) {
  return <Word {...told(props)} />;
}
