'use client';

import { useState, type ReactNode } from 'react';
import { QuietButton } from './Button';

/** Something long that is only made when it is asked for. */
export function Unfold({ label, children }: { label: string; children: () => ReactNode }) {
  const [isOpen, setOpen] = useState(false);
  return (
    <div>
      <p>
        <QuietButton aria-expanded={isOpen} onPress={() => setOpen(!isOpen)}>
          {label}
        </QuietButton>
      </p>
      {isOpen && children()}
    </div>
  );
}
