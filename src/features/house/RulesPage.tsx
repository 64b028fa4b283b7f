'use client';

import { Link } from '@/ui/Link';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { factorLabel } from '@/core/start/design';
import {
  EDITABLE_FACTORS,
  OUTPUTS,
  tradeRule,
  type EditableFactor,
  type Output,
} from '@/core/start/priors';
import { TEMPERATURE_SCHOOL_LABELS } from '@/core/vocabulary';
import type { House } from '@/data/house';
import { MainButton, QuietButton } from '@/ui/Button';
import { Choice } from '@/ui/choices';
import { Faults } from '@/ui/Faults';
import { QuantityInput } from '@/ui/fields';
import { Page } from '@/ui/Page';
import { useMay } from '@/ui/person';
import { readNumber } from '@/core/readNumber';
import { Hidden, Notice, SectionTitle, Small, StageTitle, Table, TableScroll } from '@/ui/type';
import { useCommand } from '@/ui/useCommand';
import { isOwn, ownRulesOf, ruleTextOf, ruleTextsOf, sdUnitOf, unitOf } from './ruleText';
import type { RuleText, RuleTexts } from './ruleText';

const Form = styled.form`
  display: grid;
  gap: 16px;
`;

const Figure = styled.input`
  width: 84px;
  min-height: 34px;
  padding: 2px 8px;
  border: 1px solid var(--rule-strong);
  border-radius: 2px;
  background: var(--enamel-raised);
  color: var(--ink);
  text-align: right;
`;

const Rows = styled(Table)`
  td {
    vertical-align: middle;
  }

  tr[data-own='true'] td:first-child {
    font-weight: 640;
  }
`;

const OUTPUT_LABELS: Record<Output, string> = {
  lnRatio: 'Ratio',
  temperatureC: 'Temperature',
  lnTimeS: 'Time',
  grindSteps: 'Grind',
  lnDose: 'Dose',
};

type AllTexts = Readonly<Record<Output, RuleTexts>>;

/** The rules the model starts from, and how far a past recipe counts: for the curious. */
export function RulesPage({ house }: { house: House }) {
  const { rules, temperatureSchool: school, rowVersion } = house;
  const { submit, faults, faultOf, isBusy } = useCommand();
  const isLead = useMay('lead');
  const stored = () =>
    Object.fromEntries(
      OUTPUTS.map((output) => [output, ruleTextsOf(rules, output, school)]),
    ) as AllTexts;
  const [texts, setTexts] = useState<AllTexts>(stored);
  const [halfLife, setHalfLife] = useState(
    house.halfLife === undefined ? '' : String(house.halfLife),
  );
  const [open, setOpen] = useState<Output>('lnRatio');
  const [isSaved, setSaved] = useState(false);
  const set = (factor: EditableFactor, part: Partial<RuleText>) => {
    setSaved(false);
    setTexts({
      ...texts,
      [open]: { ...texts[open], [factor]: { ...texts[open][factor], ...part } },
    });
  };
  const ownCount = OUTPUTS.reduce(
    (sum, output) => sum + ownRulesOf(texts[output], output, school).length,
    0,
  );
  const reset = () => {
    setSaved(false);
    setTexts(
      Object.fromEntries(
        OUTPUTS.map((output) => [output, ruleTextsOf([], output, school)]),
      ) as AllTexts,
    );
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('saveRules', {
      rowVersion,
      rules: OUTPUTS.flatMap((output) => ownRulesOf(texts[output], output, school)),
      halfLife: readNumber(halfLife),
    });
    setSaved(answer.ok);
  };
  return (
    <Page>
      <StageTitle as="h1">Rules of the house model</StageTitle>
      <p>
        Every proposal starts from these and is moved by your own published recipes. They are the
        trade’s rules of thumb, with how far each may be off; not physics. Change one only if you
        know better; your releases move it anyway. <Link href="/house">Back to House</Link>
      </p>
      {!isLead && <Notice>You can read this; the lead changes it.</Notice>}
      <Form onSubmit={onSubmit} noValidate aria-label="Rules">
        <Choice
          label="Rules on"
          value={open}
          onChange={setOpen}
          options={OUTPUTS.map((value) => ({ value, label: OUTPUT_LABELS[value] }))}
        />
        {open === 'temperatureC' && (
          <Small>
            Shown for the house’s temperature school (
            {TEMPERATURE_SCHOOL_LABELS[school].toLowerCase()}
            ). A rule of your own holds in every school.
          </Small>
        )}
        <TableScroll aria-label={`Rules on ${OUTPUT_LABELS[open].toLowerCase()}`}>
          <Rows>
            <thead>
              <tr>
                <th scope="col">Factor</th>
                <th scope="col">The trade’s</th>
                <th scope="col">Yours</th>
                <th scope="col">may be off by ±</th>
                <th scope="col">
                  <Hidden>Back</Hidden>
                </th>
              </tr>
            </thead>
            <tbody>
              {EDITABLE_FACTORS.map((factor) => {
                const text = texts[open][factor];
                const trade = ruleTextOf(tradeRule(factor, open, school), factor, open);
                const own = isOwn(text, factor, open, school);
                const label = factorLabel(factor);
                const unit = unitOf(factor, open);
                return (
                  <tr key={factor} data-own={own}>
                    <td>{label}</td>
                    <td>
                      {trade.mean} {unit} ± {trade.sd} {sdUnitOf(open)}
                    </td>
                    <td>
                      <Figure
                        inputMode="decimal"
                        aria-label={`${label}: rule`}
                        disabled={!isLead}
                        value={text.mean}
                        onChange={(event) => set(factor, { mean: event.target.value })}
                      />{' '}
                      {unit}
                    </td>
                    <td>
                      <Figure
                        inputMode="decimal"
                        aria-label={`${label}: may be off by`}
                        disabled={!isLead}
                        value={text.sd}
                        onChange={(event) => set(factor, { sd: event.target.value })}
                      />{' '}
                      {sdUnitOf(open)}
                    </td>
                    <td className="words">
                      {own && isLead && (
                        <QuietButton
                          aria-label={`${label}: back to the trade’s`}
                          onPress={() => set(factor, trade)}
                        >
                          back to the trade’s
                        </QuietButton>
                      )}
                    </td>
                  </tr>
                );
              })}
            </tbody>
          </Rows>
        </TableScroll>
        <section>
          <SectionTitle as="h2">How long a recipe counts</SectionTitle>
          <div style={{ maxWidth: 280, marginTop: 8 }}>
            <QuantityInput
              label="Counts half after"
              quantity="halfLife"
              step={5}
              hint="Releases; empty: it never fades"
              value={halfLife}
              onChange={(value) => {
                setSaved(false);
                setHalfLife(value);
              }}
              fault={faultOf('halfLife')}
            />
          </div>
        </section>
        <Faults faults={faults} shown={['halfLife']} />
        {isSaved && (
          <Notice $kind="good" role="status">
            Saved. Proposals and Patterns follow it from now on.
          </Notice>
        )}
        {isLead && (
          <p>
            <MainButton type="submit" isPending={isBusy}>
              Save the rules
            </MainButton>{' '}
            {ownCount > 0 && (
              <QuietButton onPress={reset}>
                Reset all to the trade’s ({ownCount} {ownCount === 1 ? 'is' : 'are'} yours)
              </QuietButton>
            )}
          </p>
        )}
      </Form>
    </Page>
  );
}
