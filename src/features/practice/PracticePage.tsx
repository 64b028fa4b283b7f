'use client';

import { useState } from 'react';
import type { PracticeLevel } from '@/core/practice/levels';
import { Choice } from '@/ui/choices';
import { Page } from '@/ui/Page';
import { StageTitle } from '@/ui/type';
import { CupsDrill } from './CupsDrill';
import { DialInPractice } from './DialInPractice';

type Practised = 'dialIn' | 'cups';

/** Practice: what costs coffee at the bench, tried where it costs none. */
export function PracticePage({ first }: { first?: PracticeLevel | undefined }) {
  const [practised, setPractised] = useState<Practised>('dialIn');
  return (
    <Page>
      <StageTitle as="h1">Practice</StageTitle>
      <Choice
        label="Practise"
        value={practised}
        onChange={setPractised}
        options={[
          { value: 'dialIn', label: 'Dialling in' },
          { value: 'cups', label: 'Staged cups' },
        ]}
      />
      {practised === 'dialIn' ? <DialInPractice first={first} /> : <CupsDrill />}
    </Page>
  );
}
