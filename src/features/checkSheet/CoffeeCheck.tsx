'use client';

import styled from 'styled-components';
import { CHECK_TASTES, type CAFE_CHECK } from '@/core/entity/cafeCheck';
import { cafeWords } from '@/words/cafeWords';
import { dayIn, figureIn } from '@/words/figures';
import { cardWords } from '@/words/cardWords';
import { readNumber } from '@/core/readNumber';
import { fahrenheitOf } from '@/core/units';
import { secondsIn } from '@/formats/recipe/seconds';
import { DayInput } from '@/ui/DayInput';
import type { EntryText } from '@/ui/entryText';
import { QuantityInput, TextInput } from '@/ui/fields';
import { tickLook } from '@/ui/choices';
import { More } from '@/ui/More';
import { Notice, readingText, Small } from '@/ui/type';
import type { SheetCafe, SheetCoffee } from '@/views/checkSheet';
import { barWords } from './barWords';

export interface CoffeeText {
  readonly check: EntryText<typeof CAFE_CHECK>;
  readonly roastDate: string;
}

const Box = styled.section`
  display: grid;
  gap: 8px;
  padding: 12px 0 14px;
  border-top: 2px solid var(--ink);

  h2 {
    font-size: 19px;
  }
`;

const Target = styled.p`
  ${readingText}
  font-size: 17px;
`;

const Four = styled.div`
  display: grid;
  grid-template-columns: repeat(4, minmax(0, 1fr));
  gap: 8px;

  input {
    min-height: 48px;
  }

  @media (max-width: 420px) {
    grid-template-columns: repeat(2, minmax(0, 1fr));
  }
`;

const Tastes = styled.div`
  display: grid;
  grid-template-columns: repeat(auto-fit, minmax(98px, 1fr));

  label {
    display: grid;
    place-items: center;
    min-height: 48px;
    padding: 4px;
    margin: 0 -1px -1px 0;
    border: 1px solid var(--rule-strong);
    background: var(--enamel-raised);
    cursor: pointer;
    ${tickLook}
  }
`;

const Next = styled.p`
  padding: 8px 10px;
  border-left: 4px solid var(--rule-strong);
  background: var(--enamel-sunk);
  font-weight: 600;

  &[data-first='stay'] {
    border-color: var(--verdigris);
  }

  &[data-first='grind'],
  &[data-first='choked'] {
    border-color: var(--copper);
  }
`;

/** One coffee of the sheet: the target, four figures, a taste in one tap, and what to do now. */
export function CoffeeCheck({
  cafe,
  coffee,
  text,
  onChange,
  faultOf,
}: {
  cafe: SheetCafe;
  coffee: SheetCoffee;
  text: CoffeeText;
  onChange: (part: Partial<CoffeeText>) => void;
  faultOf: (field: string) => string | undefined;
}) {
  const { language } = cafe;
  const say = cafeWords(language);
  const sayCard = cardWords(language);
  const { check } = text;
  const set = (part: Partial<CoffeeText['check']>) => onChange({ check: { ...check, ...part } });
  const figures = {
    doseG: { label: sayCard('labels.Dose'), quantity: 'doseG', step: 0.1 },
    yieldG: { label: sayCard('labels.In the cup'), quantity: 'shotYieldG', step: 0.5 },
    timeS: { label: sayCard('labels.Time'), quantity: 'timeS', step: 0.5 },
    dial: { label: say('dial'), quantity: 'dial', step: cafe.stepSize },
  } as const;
  const g = (value: number) => `${figureIn(language, value, 1)} g`;
  const { doseG, yieldG, timeS, clock } = coffee.target;
  const heat =
    cafe.heatUnit === 'c'
      ? `${figureIn(language, coffee.temperatureC, 1)} °C`
      : `${figureIn(language, fahrenheitOf(coffee.temperatureC), 0)} °F`;
  const said = typedOf(check);
  const next = said && barWords(cafe, coffee, said);
  return (
    <Box aria-label={coffee.name}>
      <h2>
        {coffee.name} <Small>v{coffee.version}</Small>
      </h2>
      <Target>
        <Small>{say('target')}</Small> {g(doseG)} → {g(yieldG)} · {secondsIn(language, timeS)}{' '}
        {sayCard(`clock.${clock}`)} · {heat}
      </Target>
      {coffee.habits.length > 0 && <Small as="p">{coffee.habits.join(' ')}</Small>}
      <Four>
        {(Object.keys(figures) as (keyof typeof figures)[]).map((name) => (
          <QuantityInput
            key={name}
            {...figures[name]}
            value={check[name]}
            onChange={(value) => set({ [name]: value })}
            fault={faultOf(name)}
          />
        ))}
      </Four>
      <Tastes role="radiogroup" aria-label={`${say('taste')}: ${coffee.name}`}>
        {CHECK_TASTES.map((taste) => (
          <label key={taste}>
            <input
              type="radio"
              name={`taste ${coffee.releaseId}`}
              checked={check.taste === taste}
              onChange={() => set({ taste })}
            />
            {say(`tastes.${taste}`)}
          </label>
        ))}
      </Tastes>
      {next && (
        <Next role="status" data-first={next.first}>
          {next.what}
        </Next>
      )}
      {next?.caution && <Notice $kind="caution">{next.caution}</Notice>}
      <More
        label={`${say('roasted')}${text.roastDate === '' ? '' : `: ${dayIn(language, text.roastDate)}`} · ${say('remark')}`}
        hasFault={faultOf('roastDate') !== undefined}
      >
        <DayInput
          label={say('roasted')}
          value={text.roastDate}
          onChange={(roastDate) => onChange({ roastDate })}
          fault={faultOf('roastDate')}
        />
        <TextInput
          label={say('remark')}
          value={check.remark}
          onChange={(remark) => set({ remark })}
          fault={faultOf('remark')}
        />
        {coffee.notes.map((note) => (
          <p key={note}>{note}</p>
        ))}
        {coffee.drinks.length > 0 && (
          <ul aria-label={say('drinks')}>
            {coffee.drinks.map((drink) => (
              <li key={drink.name}>{Object.values(drink).filter(Boolean).join(' · ')}</li>
            ))}
          </ul>
        )}
        <p>
          <a href={coffee.cardAddress}>{coffee.name}</a>
        </p>
      </More>
    </Box>
  );
}

/** Null while there is no time, or a figure that is none. */
function typedOf(check: CoffeeText['check']) {
  const [doseG, yieldG, timeS, dial] = [check.doseG, check.yieldG, check.timeS, check.dial].map(
    readNumber,
  );
  if (typeof doseG !== 'number' || typeof yieldG !== 'number' || typeof timeS !== 'number')
    return null;
  if (timeS <= 0 || doseG <= 0) return null;
  return {
    ...{ doseG, yieldG, timeS },
    dial: typeof dial === 'number' ? dial : undefined,
    taste: check.taste || undefined,
  };
}
