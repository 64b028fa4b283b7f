'use client';

import { HOUSE } from '@/core/entity/house';
import { LANGUAGE_NAMES, LANGUAGES } from '@/core/language';
import { FieldGrid, QuantityInput, SelectInput } from '@/ui/fields';
import { SectionTitle } from '@/ui/type';
import type { useRowForm } from '@/ui/useRowForm';
import { DrinksList } from './DrinksList';
import type { HouseText } from './houseText';

export const CARD_FACT_LABELS = {
  waterHardnessMgL: 'Water: hardness',
  waterAlkalinityMgL: 'Water: alkalinity',
  cardLanguage: HOUSE.cardLanguage.label,
  drinks: 'Cups of the bar',
} as const;

/** What every card says of the house: its water, the language of its words, the cups of its bar. */
export function CardFacts({
  text,
  bind,
  change,
  faultOf,
}: Pick<ReturnType<typeof useRowForm<HouseText>>, 'text' | 'bind' | 'change'> & {
  readonly faultOf: (field: string) => string | undefined;
}) {
  return (
    <>
      <SectionTitle as="h2">What cards say of the house</SectionTitle>
      <FieldGrid>
        {(['waterHardnessMgL', 'waterAlkalinityMgL'] as const).map((name) => (
          <QuantityInput
            key={name}
            label={CARD_FACT_LABELS[name]}
            quantity="waterMgL"
            step={5}
            hint="As CaCO₃; empty if not known"
            {...bind(name)}
          />
        ))}
        <SelectInput
          label={CARD_FACT_LABELS.cardLanguage}
          options={LANGUAGES.map((value) => ({ value, label: LANGUAGE_NAMES[value] }))}
          {...bind('cardLanguage')}
        />
      </FieldGrid>
      <DrinksList
        drinks={text.drinks}
        onChange={(drinks) => change({ drinks })}
        faultOf={faultOf}
      />
    </>
  );
}
