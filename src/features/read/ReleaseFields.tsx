'use client';

import styled from 'styled-components';
import { COMPONENT } from '@/core/entity/component';
import { RELEASE } from '@/core/entity/release';
import { Button, QuietButton } from '@/ui/Button';
import { EntryField, EntryFields } from '@/ui/EntryField';
import { FieldGrid } from '@/ui/fields';
import { More } from '@/ui/More';
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
      <More label={moreLabel(text)} hasFault={MORE.some((name) => faultOf(name) !== undefined)}>
        <FieldGrid $columns={2}>
          <EntryFields form={form} names={MORE} />
        </FieldGrid>
      </More>
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
  const form = { fields: COMPONENT, text: component, change, faultOf };
  return (
    <>
      <FieldGrid style={{ marginTop: isBlend ? 10 : 0 }}>
        <EntryFields
          form={form}
          names={[
            ...(isBlend ? (['sharePct'] as const) : []),
            'country',
            'region',
            'producer',
            'variety',
            'varietyClass',
            'process',
            'altitudeM',
            'altitudeToM',
            'densityGPerL',
          ]}
        />
      </FieldGrid>
      <More
        label="Harvest, lot, certification, cup score, moisture"
        hasFault={RARE.some((name) => faultOf(name) !== undefined)}
      >
        <FieldGrid>
          <EntryFields form={form} names={RARE} />
        </FieldGrid>
      </More>
    </>
  );
}

/** Known of few coffees. */
const RARE = ['harvest', 'lot', 'certification', 'cupScore', 'moisturePct'] as const;
/** What a bag says beside what the models take. */
const MORE = [
  'tags',
  'doseSchool',
  'pricePerKg',
  'contains',
  'suggestedRecipe',
  'story',
  'freeNotes',
] as const;

function moreLabel(text: ReleaseText): string {
  const said = MORE.filter((name) => text[name] !== '').map((name) =>
    RELEASE[name].label.toLowerCase(),
  );
  return said.length === 0
    ? 'Tags, dose, price, allergens, suggested recipe, story, notes'
    : `Also said: ${said.join(', ')}`;
}
