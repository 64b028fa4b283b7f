'use client';

import { lazy, Suspense, useState, useSyncExternalStore } from 'react';
import { dayWords } from '@/core/dayWords';
import { TextInput, type DayProps } from './fields';

const DayPicker = lazy(() => import('./DayPicker'));

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
        value={value === '' ? '' : dayWords(value)}
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
