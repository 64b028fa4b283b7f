'use client';

import { useState } from 'react';
import type { Proposal } from '@/core/start/propose';
import { PROCESS_LABELS, PROCESSES, ROAST_WORDS } from '@/core/vocabulary';
import { FieldGrid, QuantityInput, SelectInput } from '@/ui/fields';
import { QuietButton } from '@/ui/Button';
import { SectionTitle } from '@/ui/type';
import { Comparison } from './Comparison';
import type { StartView } from '@/views/start';

const AS_IT_IS = { value: '', label: 'as it is' };
const roasts = [
  AS_IT_IS,
  ...ROAST_WORDS.map(({ level, label }) => ({ value: String(level), label })),
];
const processes = [
  AS_IT_IS,
  ...PROCESSES.map((value) => ({ value, label: PROCESS_LABELS[value] })),
];

/** Supposes another roast, process or rest day and shows where the proposal would go. */
export function WhatIf({
  suppose,
  proposal,
  whatIf,
  onSuppose,
}: {
  suppose: StartView['asked']['suppose'];
  proposal: Proposal;
  whatIf: Proposal | null;
  onSuppose: (changes: { ifRoast?: string; ifProcess?: string; ifRest?: string }) => void;
}) {
  const shown = (value: number | undefined) => (value === undefined ? '' : String(value));
  const [rest, setRest] = useState(shown(suppose.restDays));
  return (
    <section>
      <SectionTitle>What if</SectionTitle>
      <FieldGrid>
        <SelectInput
          label="the roast were"
          value={shown(suppose.roastLevel)}
          onChange={(value) => onSuppose({ ifRoast: value })}
          options={roasts}
        />
        <SelectInput
          label="the process were"
          value={suppose.process ?? ''}
          onChange={(value) => onSuppose({ ifProcess: value })}
          options={processes}
        />
        <QuantityInput
          label="it had rested"
          quantity="restDays"
          step={1}
          value={rest}
          onChange={(value) => {
            setRest(value);
            onSuppose({ ifRest: value });
          }}
        />
      </FieldGrid>
      {whatIf && (
        <>
          <Comparison label="What if" heads={['As it is', 'If so']} one={proposal} other={whatIf} />
          <QuietButton
            onPress={() => {
              setRest('');
              onSuppose({ ifRest: '', ifRoast: '', ifProcess: '' });
            }}
          >
            Back to what is known
          </QuietButton>
        </>
      )}
    </section>
  );
}
