'use client';

import { useState } from 'react';
import styled from 'styled-components';
import { figure } from '@/core/figure';
import { AUDIENCE_LABELS } from '@/core/fits/audience';
import { RULE_FACTORS } from '@/core/fits/factors';
import type { LearntFactors } from '@/core/fits/learnFactors';
import { Z_80 } from '@/core/grinder/dial';
import { LANGUAGE_NAMES, LANGUAGES, type Language } from '@/core/language';
import { Chip } from '@/ui/choices';
import { QuantityInput, SelectInput, TextAreaInput, TextInput } from '@/ui/fields';
import { More } from '@/ui/More';
import { Small } from '@/ui/type';
import type { CardOffers } from '@/views/cardOffers';
import { phaseText, type ComposedText, type FitText, type PhaseText } from './composedText';

const PhaseRow = styled.div`
  display: grid;
  grid-template-columns: repeat(3, minmax(0, 130px));
  gap: 8px 12px;
  align-items: end;
`;

const Rows = styled.div`
  display: grid;
  gap: 10px;
`;

interface PartProps {
  readonly text: ComposedText;
  readonly change: (part: Partial<ComposedText>) => void;
  readonly faultOf: (field: string) => string | undefined;
}

/** What a card can say beside its recipe, each part folded to one line that says what holds. */
export function Composer({
  offers,
  ownLanguage,
  ...props
}: PartProps & { readonly offers: CardOffers; readonly ownLanguage: Language }) {
  const { text, change } = props;
  const on = text.fits.filter(({ isOn }) => isOn).length;
  const others = Object.keys(text.otherWords).length;
  return (
    <Rows>
      <More
        label={`As the coffee ages: ${phaseWords(text.phases.length)}`}
        hasFault={text.phases.some((_, i) => hasFault(`phases.${i}`, props.faultOf))}
      >
        <PhaseFields {...props} offers={offers} />
      </More>
      <More
        label={`Milk and cups: ${milkWords(text, offers)}`}
        hasFault={props.faultOf('drinks') !== undefined}
      >
        <Rows>
          {offers.milk === null ? (
            <Small>
              There is no recipe for milk drinks in this dial-in: Taste makes one beside the
              straight recipe.
            </Small>
          ) : (
            <p>
              <Chip isSelected={text.hasMilk} onChange={(hasMilk) => change({ hasMilk })}>
                Carry the recipe for milk drinks as well
              </Chip>
            </p>
          )}
          <p>
            <Chip isSelected={text.hasDrinks} onChange={(hasDrinks) => change({ hasDrinks })}>
              Say what goes into each cup of the bar ({offers.drinks.length} in House)
            </Chip>
          </p>
        </Rows>
      </More>
      <More
        label={`Other setups: ${on === 0 ? 'none' : `${on} of ${text.fits.length}`}`}
        hasFault={false}
      >
        <FitFields {...props} offers={offers} />
      </More>
      <More
        label={`Other languages: ${others === 0 ? 'fixed words only' : `own words in ${others}`}`}
        hasFault={false}
      >
        <OtherLanguages {...props} ownLanguage={ownLanguage} />
      </More>
    </Rows>
  );
}

const hasFault = (path: string, faultOf: PartProps['faultOf']) =>
  ['', '.from', '.to', '.steps'].some((end) => faultOf(`${path}${end}`) !== undefined);

const phaseWords = (count: number) => (count < 2 ? 'one setting' : `${count} phases`);

function milkWords({ hasMilk, hasDrinks }: ComposedText, { drinks }: CardOffers): string {
  const cups = hasDrinks ? `${drinks.length} cups` : 'no cups';
  return `${hasMilk ? 'recipe for milk, ' : ''}${cups}`;
}

function PhaseFields({ text, change, faultOf, offers }: PartProps & { offers: CardOffers }) {
  const { phases } = text;
  const set = (at: number, part: Partial<PhaseText>) =>
    change({ phases: phases.map((phase, i) => (i === at ? { ...phase, ...part } : phase)) });
  if (offers.phases.length === 0) return <Small>The rest span is too short to be parted.</Small>;
  const take = (count: number) =>
    change({ phases: count < 2 ? [] : offers.phases[count - 1]!.list.map(phaseText) });
  const kept = offers.phases[Math.max(1, phases.length) - 1]?.kept;
  return (
    <Rows>
      <SelectInput
        label="Settings over the rest span"
        options={offers.phases.map((_, i) => ({
          value: String(i + 1),
          label: `${phaseWords(i + 1)}${offers.phaseCount === i + 1 ? ', as its ageing asks' : ''}`,
        }))}
        value={String(Math.max(1, phases.length))}
        onChange={(count) => take(Number(count))}
      />
      {phases.map((phase, i) => (
        <PhaseRow key={i} role="group" aria-label={`Phase ${i + 1}`}>
          <QuantityInput
            label="From day"
            quantity="restDays"
            step={1}
            value={phase.from}
            onChange={(from) => set(i, { from })}
            fault={faultOf(`phases.${i}`) ?? faultOf(`phases.${i}.from`)}
          />
          <QuantityInput
            label="To day"
            quantity="restDays"
            step={1}
            value={phase.to}
            onChange={(to) => set(i, { to })}
            fault={faultOf(`phases.${i}.to`)}
          />
          <TextInput
            label="Steps finer"
            value={phase.steps}
            onChange={(steps) => set(i, { steps })}
            fault={faultOf(`phases.${i}.steps`)}
          />
        </PhaseRow>
      ))}
      <Small>
        Counted from the setting of day {offers.cardDay}, in steps of a tenth in time (about 2.8 s);
        coarser with a minus. About {kept} of 100 café shots stay within 2.5 s of the middle so, one
        setting keeps {offers.phases[0]!.kept}. A model’s figure, a rule of thumb.
      </Small>
    </Rows>
  );
}

function FitFields({ text, change, offers }: PartProps & { offers: CardOffers }) {
  const set = (at: number, part: Partial<FitText>) =>
    change({ fits: text.fits.map((fit, i) => (i === at ? { ...fit, ...part } : fit)) });
  return (
    <Rows>
      {text.fits.map((fit, i) => (
        <div key={fit.audience}>
          <Chip isSelected={fit.isOn} onChange={(isOn) => set(i, { isOn })}>
            {AUDIENCE_LABELS[fit.audience]}
          </Chip>
          {fit.isOn && fit.audience !== 'pressurised' && (
            <TextInput
              label="Tried there, if it was: where and by whom"
              hint="Empty: the card says it is computed"
              value={fit.tried}
              onChange={(tried) => set(i, { tried })}
            />
          )}
        </div>
      ))}
      {offers.tried && <TriedFactors tried={offers.tried} />}
    </Rows>
  );
}

/** What cafés elsewhere taught of the rules of fits; this card is fitted by it, and keeps it. */
function TriedFactors({ tried }: { tried: LearntFactors }) {
  const { timeShare, timeShareSd, lnRatioPerCooler, lnRatioPerCSd, baskets, heats } = tried;
  const known = (mean: number, sd: number) =>
    `${figure(100 * mean, 1)} ± ${figure(100 * Z_80 * sd, 1)} %`;
  return (
    <Small>
      By the words of cafés elsewhere, of the last four weeks:{' '}
      {baskets > 0 &&
        `on another basket ${known(timeShare, timeShareSd)} of the law of the bed stays in the time (rule ${figure(100 * RULE_FACTORS.timeShare, 1)} %), from ${places(baskets, 'another basket')}`}
      {baskets > 0 && heats > 0 && '; '}
      {heats > 0 &&
        `the ratio grows by ${known(lnRatioPerCooler, lnRatioPerCSd)} for each °C a machine stands cooler (rule ${figure(100 * RULE_FACTORS.lnRatioPerCooler, 1)} %), from ${places(heats, 'another heat')}`}
      . Likely so far either way 8 times in 10. This card is fitted so and keeps it.
    </Small>
  );
}

const places = (cafes: number, where: string) =>
  `${cafes} ${cafes === 1 ? 'café' : 'cafés'} on ${where}`;

/** What the house wrote itself, as its fields in another language are called. */
const OWN = [
  ['right', 'when right'],
  ['short', 'when short'],
  ['long', 'when long'],
  ['whatChanged', 'what changed'],
] as const;

function OtherLanguages({ text, change, ownLanguage }: PartProps & { ownLanguage: Language }) {
  const others = LANGUAGES.filter((language) => language !== ownLanguage);
  const [language, setLanguage] = useState<Language>(others[0]!);
  const own = text.otherWords[language] ?? {};
  return (
    <Rows>
      <Small>
        Every card can be read in {LANGUAGES.length} languages. Its fixed words are translated; your
        own stand in {LANGUAGE_NAMES[ownLanguage]} unless you give them here.
      </Small>
      <SelectInput
        label="Language"
        options={others.map((value) => ({ value, label: LANGUAGE_NAMES[value] }))}
        value={language}
        onChange={(value) => setLanguage(value as Language)}
      />
      {OWN.map(([name, label]) => (
        <TextAreaInput
          key={`${language} ${name}`}
          label={`${LANGUAGE_NAMES[language]}: ${label}`}
          rows={2}
          value={own[name] ?? ''}
          onChange={(said) =>
            change({ otherWords: { ...text.otherWords, [language]: { ...own, [name]: said } } })
          }
          fault={undefined}
        />
      ))}
    </Rows>
  );
}
