'use client';

import { CRUSH_LABELS, CRUSHES } from '@/core/coffee/roast';
import { ROAST_WORDS } from '@/core/vocabulary';
import { FieldGrid, QuantityInput, SelectInput, TextInput } from '@/ui/fields';
import { bindTo } from '@/ui/useTextForm';
import type { BatchText } from './releaseText';

const roastOptions = [
  { value: '', label: 'Not known' },
  ...ROAST_WORDS.map(({ level, label }) => ({ value: String(level), label })),
];

const crushOptions = [
  { value: '', label: 'Not tried' },
  ...CRUSHES.map((value) => ({ value, label: CRUSH_LABELS[value] })),
];

/** What is known of one roast batch. */
export function BatchFields({
  text,
  change,
  faultOf,
}: {
  text: BatchText;
  change: (part: Partial<BatchText>) => void;
  faultOf: (field: string) => string | undefined;
}) {
  const bind = bindTo(text, change, faultOf);
  return (
    <FieldGrid>
      <TextInput type="date" label="Roast date" {...bind('roastDate')} />
      <SelectInput
        label="Roast, in the house’s word"
        options={roastOptions}
        {...bind('roastLevel')}
      />
      <TextInput label="Name of the batch" hint="If there are several" {...bind('label')} />
      <QuantityInput
        label="Colour of the ground coffee"
        quantity="colourGround"
        step={1}
        hint="Overrules the word"
        {...bind('colourGround')}
      />
      <QuantityInput
        label="Colour of the bean"
        quantity="colourBean"
        step={1}
        hint="Counts by the house’s own map"
        {...bind('colourBean')}
      />
      <SelectInput
        label="A bean under the thumb"
        hint="Cool bean, hard surface; a weak reading"
        options={crushOptions}
        {...bind('crush')}
      />
      <QuantityInput
        label="Roast weight loss"
        quantity="weightLossPct"
        step={0.1}
        {...bind('weightLossPct')}
      />
      <QuantityInput
        label="Sample set aside"
        quantity="sampleG"
        step={50}
        hint="For dial-in and checks"
        {...bind('sampleG')}
      />
    </FieldGrid>
  );
}
