'use client';

import { lazy, Suspense, useState, useSyncExternalStore } from 'react';
import { dayWords } from '@/core/dayWords';
import { TextInput, type DayProps } from './fields';

/** Without the server the picker cannot come: the day is typed, and the page stands. */
const DayPicker = lazy(() => import('./DayPicker').catch(() => ({ default: TypedDay })));

/**
 * A calendar day. The picker weighs half as much as a page, and most pages with a day on them are only
 * read: it is fetched at the first move of a hand, before one reaches it; till then the day stands as text.
 */
export function DayInput({ autoFocus = false, ...props }: DayProps) {
  const isTouched = useSyncExternalStore(
    whenTouched,
    () => wasTouched,
    () => false,
  );
  const [hadFocus, setHadFocus] = useState(false);
  const { label, value, hint, fault } = props;
  const waiting = (
    <div style={{ display: 'contents' }} onFocus={() => setHadFocus(true)}>
      <TextInput
        label={label}
        value={IS_DAY.test(value) ? dayWords(value) : value}
        hint={hint}
        fault={fault}
        onChange={() => undefined}
      />
    </div>
  );
  if (!isTouched && !autoFocus) return waiting;
  return (
    <Suspense fallback={waiting}>
      <DayPicker {...props} autoFocus={autoFocus || hadFocus} />
    </Suspense>
  );
}

/** A whole day; one that is being typed is shown as it stands. */
const IS_DAY = /^\d{4}-\d\d-\d\d$/;

/** A day as it is stored; what is no day is refused by name, as everywhere. */
function TypedDay({ label, value, hint, fault, onChange, autoFocus }: DayProps) {
  return (
    <TextInput
      label={label}
      value={value}
      hint={hint ?? 'As 2026-05-20'}
      fault={fault}
      onChange={onChange}
      autoFocus={autoFocus}
    />
  );
}

let wasTouched = false;
const SIGNS = ['pointermove', 'pointerdown', 'keydown', 'touchstart'] as const;

/** Tells once of the first sign of a hand on this page. */
function whenTouched(tell: () => void): () => void {
  const onSign = () => {
    wasTouched = true;
    tell();
  };
  for (const sign of SIGNS) window.addEventListener(sign, onSign, { once: true });
  return () => {
    for (const sign of SIGNS) window.removeEventListener(sign, onSign);
  };
}
