'use client';

import styled from 'styled-components';
import { COMPONENT } from '@/core/entity/component';
import { RELEASE } from '@/core/entity/release';
import { Button, QuietButton } from '@/ui/Button';
import { EntryField, EntryFields } from '@/ui/EntryField';
import { FieldGrid } from '@/ui/fields';
import { SectionTitle, Small } from '@/ui/type';
import { EMPTY_COMPONENT, typedSumPct, type ComponentText, type ReleaseText } from './releaseForm';

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
  const form = { fields: RELEASE, text, change, faultOf };
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
        <EntryField form={form} name="name" faultName="release.name" autoFocus={isNew} />
        <EntryFields form={form} names={['serving', 'promisedNotes']} />
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
        {isBlend && <ShareSum sumPct={typedSumPct(components)} />}
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
  return (
    <FieldGrid style={{ marginTop: isBlend ? 10 : 0 }}>
      <EntryFields
        form={{ fields: COMPONENT, text: component, change, faultOf }}
        names={[
          ...(isBlend ? (['sharePct'] as const) : []),
          'country',
          'region',
          'producer',
          'variety',
          'varietyClass',
          'process',
          'altitudeM',
          'densityGPerL',
          'moisturePct',
        ]}
      />
    </FieldGrid>
  );
}
