'use client';

import { dayWords } from '@/core/dayWords';
import { SectionTitle } from '@/ui/type';
import { GATE_LABELS } from './gateLabels';
import type { PassedCheck } from '@/data/publications';

export interface PublishedVersion {
  readonly number: number;
  readonly publishedAt: string;
  readonly publishedBy: string;
  readonly passes: readonly Pick<PassedCheck, 'gate' | 'reason'>[];
}

/** Every version that left the house, with the gates that were passed by the lead's word. */
export function Versions({ versions }: { versions: readonly PublishedVersion[] }) {
  if (versions.length === 0) return null;
  return (
    <section>
      <SectionTitle>Versions so far</SectionTitle>
      <ul>
        {versions.map(({ number, publishedAt, publishedBy, passes }) => (
          <li key={number}>
            Version {number}, {dayWords(publishedAt)}, by {publishedBy}
            {passes.map(({ gate, reason }) => (
              <span key={gate}>
                ; passed “{GATE_LABELS[gate].toLowerCase()}” because: {reason}
              </span>
            ))}
          </li>
        ))}
      </ul>
    </section>
  );
}
