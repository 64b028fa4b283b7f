'use client';

import styled from 'styled-components';
import {
  PROCESS_LABELS,
  PROCESSES,
  SERVED,
  SERVED_LABELS,
  VARIETY_CLASSES,
  VARIETY_LABELS,
} from '@/core/vocabulary';
import { Button, QuietButton } from '@/ui/Button';
import { FieldGrid, QuantityInput, SelectInput, TextInput } from '@/ui/fields';
import { SectionTitle, Small } from '@/ui/type';
import { bindTo } from '@/ui/useTextForm';
import { EMPTY_COMPONENT, shareSumPct, type ComponentText, type ReleaseText } from './releaseText';

const UNKNOWN = { value: '', label: 'Not known' };
const varietyOptions = [
  UNKNOWN,
  ...VARIETY_CLASSES.map((value) => ({ value, label: VARIETY_LABELS[value] })),
];
const processOptions = [
  UNKNOWN,
  ...PROCESSES.map((value) => ({ value, label: PROCESS_LABELS[value] })),
];
const servedOptions = SERVED.map((value) => ({ value, label: SERVED_LABELS[value] }));

const Stack = styled.div`
  display: grid;
  gap: 14px;
`;

const Sum = styled.p`
  &[data-whole='true'] {
    color: var(--verdigris);
    font-weight: 620;
  }
`;

export interface ReleaseFieldsProps {
  readonly text: ReleaseText;
  readonly change: (part: Partial<ReleaseText>) => void;
  readonly faultOf: (field: string) => string | undefined;
  readonly isNew?: boolean;
}

/** Name, promise and components of a release. */
export function ReleaseFields({ text, change, faultOf, isNew = false }: ReleaseFieldsProps) {
  const bind = bindTo(text, change, faultOf);
  const { components } = text;
  const isBlend = components.length > 1;
  const setComponent = (at: number, part: Partial<ComponentText>) =>
    change({
      components: components.map((component, i) =>
        i === at ? { ...component, ...part } : component,
      ),
    });
  const add = () => change({ components: [...components, { ...EMPTY_COMPONENT, sharePct: '' }] });
  const remove = (at: number) => change({ components: components.filter((_, i) => i !== at) });
  return (
    <Stack>
      <FieldGrid>
        <TextInput
          label="Name of the release"
          {...bind('name', 'release.name')}
          autoFocus={isNew}
        />
        <SelectInput label="Served" options={servedOptions} {...bind('serving')} />
        <TextInput label="Promised notes" hint="Separated by commas" {...bind('promisedNotes')} />
      </FieldGrid>
      {components.map((component, i) => (
        <section key={i} aria-label={isBlend ? `Component ${i + 1}` : 'Coffee'}>
          {isBlend && <SectionTitle as="h3">Component {i + 1}</SectionTitle>}
          <ComponentFields
            component={component}
            isBlend={isBlend}
            change={(part) => setComponent(i, part)}
            faultOf={(field) => faultOf(`components.${i}.${field}`)}
          />
          {isBlend && (
            <QuietButton onPress={() => remove(i)} aria-label={`Leave component ${i + 1} out`}>
              leave it out
            </QuietButton>
          )}
        </section>
      ))}
      <div>
        <Button onPress={add}>
          {isBlend ? 'Another component' : 'It is a blend: add a component'}
        </Button>{' '}
        {isBlend && <ShareSum sumPct={shareSumPct(components)} />}
      </div>
    </Stack>
  );
}

function ShareSum({ sumPct }: { sumPct: number | null }) {
  return (
    <Sum role="status" data-whole={sumPct === 100}>
      <Small as="span" style={{ color: 'inherit' }}>
        {sumPct === null
          ? 'Give every component its share; together they make 100 %.'
          : sumPct === 100
            ? 'The shares make 100 %.'
            : `The shares make ${sumPct} %, ${sumPct < 100 ? `${Number((100 - sumPct).toFixed(2))} % is missing` : `${Number((sumPct - 100).toFixed(2))} % too much`}.`}
      </Small>
    </Sum>
  );
}

function ComponentFields({
  component,
  isBlend,
  change,
  faultOf,
}: {
  component: ComponentText;
  isBlend: boolean;
  change: (part: Partial<ComponentText>) => void;
  faultOf: (field: string) => string | undefined;
}) {
  const bind = bindTo(component, change, faultOf);
  return (
    <FieldGrid style={{ marginTop: isBlend ? 10 : 0 }}>
      {isBlend && (
        <QuantityInput label="Share" quantity="sharePct" step={5} {...bind('sharePct')} />
      )}
      <TextInput label="Country" {...bind('country')} />
      <TextInput label="Region" {...bind('region')} />
      <TextInput label="Producer" {...bind('producer')} />
      <TextInput label="Variety" {...bind('variety')} />
      <SelectInput label="Variety class" options={varietyOptions} {...bind('varietyClass')} />
      <SelectInput label="Process" options={processOptions} {...bind('process')} />
      <QuantityInput label="Altitude" quantity="altitudeM" step={50} {...bind('altitudeM')} />
      <QuantityInput
        label="Green density, measured"
        quantity="densityGPerL"
        step={5}
        hint="Wins over altitude"
        {...bind('densityGPerL')}
      />
      <QuantityInput
        label="Green moisture"
        quantity="moisturePct"
        step={0.1}
        {...bind('moisturePct')}
      />
    </FieldGrid>
  );
}
