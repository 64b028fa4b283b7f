'use client';

import styled from 'styled-components';
import { FILL_LABELS, FILLS, MOST_DRINKS, SHOTS } from '@/core/fits/drinks';
import { Button, QuietButton } from '@/ui/Button';
import { QuantityInput, SelectInput, TextInput } from '@/ui/fields';
import { Small } from '@/ui/type';
import type { DrinkText, HouseText } from './houseText';

const Row = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 3fr) minmax(0, 2fr) minmax(0, 2fr) minmax(0, 2fr) auto;
  gap: 8px 12px;
  align-items: end;

  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  }
`;

const SHOT_WORDS: Readonly<Record<string, string>> = {
  '0.5': 'half the recipe',
  '1': 'the recipe',
  '2': 'twice the recipe',
};

/** The cups of the bar: cards say what to put into each. */
export function DrinksList({
  drinks,
  onChange,
  faultOf,
}: {
  drinks: HouseText['drinks'];
  onChange: (drinks: HouseText['drinks']) => void;
  faultOf: (field: string) => string | undefined;
}) {
  const set = (at: number, part: Partial<DrinkText>) =>
    onChange(drinks.map((drink, i) => (i === at ? { ...drink, ...part } : drink)));
  return (
    <>
      {drinks.map((drink, i) => (
        <Row key={i} role="group" aria-label={drink.name || `Drink ${i + 1}`}>
          <TextInput
            label="Drink"
            value={drink.name}
            onChange={(name) => set(i, { name })}
            fault={faultOf(`drinks.${i}.name`)}
          />
          <QuantityInput
            label="Cup"
            quantity="cupMl"
            step={10}
            value={drink.cupMl}
            onChange={(cupMl) => set(i, { cupMl })}
            fault={faultOf(`drinks.${i}.cupMl`)}
          />
          <SelectInput
            label="Takes"
            options={SHOTS.map((share) => ({ value: String(share), label: SHOT_WORDS[share]! }))}
            value={drink.shots}
            onChange={(shots) => set(i, { shots })}
          />
          <SelectInput
            label="Filled with"
            options={FILLS.map((value) => ({ value, label: FILL_LABELS[value] }))}
            value={drink.fill}
            onChange={(fill) => set(i, { fill: fill as DrinkText['fill'] })}
          />
          <QuietButton
            aria-label={`Remove ${drink.name || 'this drink'}`}
            onPress={() => onChange(drinks.filter((_, at) => at !== i))}
          >
            Remove
          </QuietButton>
        </Row>
      ))}
      {drinks.length < MOST_DRINKS && (
        <p>
          <Button
            onPress={() => onChange([...drinks, { name: '', cupMl: '', shots: '1', fill: 'milk' }])}
          >
            Add a drink
          </Button>
        </p>
      )}
      <Small>
        Each card then says the grams of espresso for every cup, a volume for machines with buttons
        (rough) and what is filled up. The recipe for milk drinks is used where a card has one.
      </Small>
    </>
  );
}
