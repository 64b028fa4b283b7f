'use client';

import { useState } from 'react';
import { PROCESS_LABELS, PROCESSES, STYLE_LABELS, STYLES } from '@/core/vocabulary';
import { QuietButton } from '@/ui/Button';
import { DayInput } from '@/ui/DayInput';
import { FieldGrid, SelectInput, TextInput } from '@/ui/fields';
import { ROAST_BANDS } from '@/core/coffee/roastBand';
import type { Filters } from '@/views/patternFilters';

const ALL = { value: '', label: 'all' };
const ROAST_LABELS = { light: 'lighter than medium', medium: 'about medium', dark: 'darker' };

/** What the page is narrowed to; everything on it follows. */
export function FiltersBar({
  filters,
  setups,
  onChange,
}: {
  filters: Filters;
  setups: readonly { readonly id: string; readonly name: string }[];
  onChange: (changes: Readonly<Record<string, string>>, how?: { isTyped: boolean }) => void;
}) {
  const [variety, setVariety] = useState(filters.variety ?? '');
  const isNarrowed = Object.values(filters).some((value) => value !== null);
  return (
    <section aria-label="Narrow to" className={isNarrowed ? undefined : 'screen-only'}>
      <FieldGrid style={{ gridTemplateColumns: 'repeat(auto-fit, minmax(150px, 1fr))' }}>
        <SelectInput
          label="Style"
          value={filters.style ?? ''}
          onChange={(style) => onChange({ style })}
          options={[ALL, ...STYLES.map((value) => ({ value, label: STYLE_LABELS[value] }))]}
        />
        <SelectInput
          label="Process"
          value={filters.process ?? ''}
          onChange={(process) => onChange({ process })}
          options={[ALL, ...PROCESSES.map((value) => ({ value, label: PROCESS_LABELS[value] }))]}
        />
        <SelectInput
          label="Roast"
          value={filters.roast ?? ''}
          onChange={(roast) => onChange({ roast })}
          options={[ALL, ...ROAST_BANDS.map((value) => ({ value, label: ROAST_LABELS[value] }))]}
        />
        <TextInput
          label="Variety"
          value={variety}
          onChange={(next) => {
            setVariety(next);
            onChange({ variety: next }, { isTyped: true });
          }}
        />
        <SelectInput
          label="Setup"
          value={filters.setupId ?? ''}
          onChange={(setup) => onChange({ setup })}
          options={[ALL, ...setups.map(({ id, name }) => ({ value: id, label: name }))]}
        />
        <DayInput label="From" value={filters.from ?? ''} onChange={(from) => onChange({ from })} />
        <DayInput label="To" value={filters.to ?? ''} onChange={(to) => onChange({ to })} />
      </FieldGrid>
      {isNarrowed && (
        <p style={{ marginTop: 6 }}>
          <QuietButton
            onPress={() => {
              setVariety('');
              onChange({
                style: '',
                process: '',
                roast: '',
                variety: '',
                setup: '',
                from: '',
                to: '',
              });
            }}
          >
            Show everything
          </QuietButton>
        </p>
      )}
    </section>
  );
}
