'use client';

import { Link } from '@/ui/Link';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { HOUSE } from '@/core/entity/house';
import {
  CLOCK_LABELS,
  CLOCKS,
  DOSE_SCHOOL_LABELS,
  DOSE_SCHOOLS,
  TASTE_LEVER_LABELS,
  TASTE_LEVERS,
  HEADSPACE_LABELS,
  HEADSPACES,
  REST_SCHOOL_LABELS,
  REST_SCHOOLS,
  roastWord,
  STYLE_LABELS,
  STYLES,
  TEMPERATURE_SCHOOL_LABELS,
  TEMPERATURE_SCHOOLS,
} from '@/core/vocabulary';
import type { House } from '@/data/house';
import { MainButton } from '@/ui/Button';
import { Chip, ChipRow, Choice } from '@/ui/choices';
import { Clashes } from '@/ui/Clashes';
import { DraftNotice } from '@/ui/DraftNotice';
import { Faults } from '@/ui/Faults';
import { FieldGrid, QuantityInput, SelectInput, TextInput } from '@/ui/fields';
import { Columns, Page } from '@/ui/Page';
import { useMay } from '@/ui/person';
import { Notice, SectionTitle, Small, StageTitle } from '@/ui/type';
import { offerEditUndo } from '@/ui/undo';
import { useCommand } from '@/ui/useCommand';
import { useRowForm } from '@/ui/useRowForm';
import type { BackupView } from '@/views/backups';
import { Backups } from './Backups';
import { CARD_FACT_LABELS, CardFacts } from './CardFacts';
import { houseSent, houseTextOf, type HouseText } from './houseText';
import { RoastMap } from './RoastMap';

const Form = styled.form`
  display: grid;
  gap: 22px;
`;

const Group = styled.section`
  display: grid;
  gap: 10px;
`;

const Plain = styled.fieldset`
  display: contents;
  border: 0;
`;

const LABELS = {
  name: 'Name of the roastery',
  brewStyle: 'Brew style',
  temperatureSchool: 'Temperature school',
  restSchool: 'Rest school',
  clock: 'Clock',
  tasteFirst: 'Time or taste first',
  doseSchool: 'Dose while dialling in',
  headspace: 'Basket',
  proofGoalPct: 'Sure enough at',
  leastLiking: 'A cup approves from a liking of',
  tasteLevers: 'When the cup is not right',
  cremaGPerMl: HOUSE.cremaGPerMl.label,
  tdsFromPct: HOUSE.tdsFromPct.label,
  tdsToPct: HOUSE.tdsToPct.label,
  extractionFromPct: HOUSE.extractionFromPct.label,
  extractionToPct: HOUSE.extractionToPct.label,
  ...CARD_FACT_LABELS,
  doseToleranceG: 'Dose tolerance',
  yieldToleranceG: 'Yield tolerance',
  currency: 'Currency',
  coffeePricePerKg: 'Coffee price',
  timeZone: HOUSE.timeZone.label,
  closedWeekdays: 'Closed every',
  closedDates: 'Closed days',
  publicAddress: 'Public address',
  siteFolder: HOUSE.siteFolder.label,
  backupFolder: 'Folder of the backups',
  backupDays: 'Daily backups kept',
  backupWeeks: 'Weekly backups kept',
  roastMap: 'Roast words',
};

/** Four figures or none. */
const REGION = ['tdsFromPct', 'tdsToPct', 'extractionFromPct', 'extractionToPct'] as const;

const SHOWN = [
  'house.name',
  'doseToleranceG',
  'yieldToleranceG',
  'proofGoalPct',
  'leastLiking',
  'tasteLevers',
  'cremaGPerMl',
  ...REGION,
  'waterHardnessMgL',
  'waterAlkalinityMgL',
  'currency',
  'coffeePricePerKg',
  'timeZone',
  'publicAddress',
  'siteFolder',
  'backupFolder',
  'backupDays',
  'backupWeeks',
  'colourBean',
  'colourGround',
  'cupMl',
];

const WEEKDAYS = ['Monday', 'Tuesday', 'Wednesday', 'Thursday', 'Friday', 'Saturday', 'Sunday'];
const FIRST = [
  { value: 'time', label: 'time, then taste' },
  { value: 'taste', label: 'taste; 20 s or 60 s can be right' },
] as const;

const optionsOf = <T extends string>(words: readonly T[], labels: Record<T, string>) =>
  words.map((value) => ({ value, label: labels[value] }));

/** How the house works: what every proposal, judgement and card starts from. */
export function HousePage({ house, backups }: { house: House; backups: BackupView | null }) {
  const { submit, faults, faultOf, isBusy } = useCommand();
  const isLead = useMay('lead');
  const [isSaved, setSaved] = useState(false);
  const form = useRowForm<HouseText>(
    { text: houseTextOf(house), rowVersion: house.rowVersion },
    faultOf,
    'house',
  );
  const { text, bind } = form;
  const change = (part: Partial<HouseText>) => {
    setSaved(false);
    form.change(part);
  };
  const onSubmit = async (event: FormEvent) => {
    event.preventDefault();
    const answer = await submit('saveHouse', {
      rowVersion: form.rowVersion,
      house: houseSent(text),
    });
    setSaved(answer.ok);
    if (answer.ok) form.draft.forget();
    if (answer.ok) offerEditUndo('How the house works was changed.', answer.result.editId);
  };
  return (
    <Page>
      <StageTitle as="h1">House</StageTitle>
      {!isLead && <Notice>You can read this; the lead changes it.</Notice>}
      <p>
        <Link href="/house/rules">Rules of the house model</Link>: what every proposal starts from.
      </p>
      <DraftNotice draft={form.draft} />
      <Clashes
        clashes={form.clashes}
        takenOver={form.takenOver}
        labels={LABELS}
        onSettle={form.settle}
        show={(value) => (typeof value === 'object' ? JSON.stringify(value) : String(value))}
      />
      <Form onSubmit={onSubmit} noValidate aria-label="House">
        <Plain disabled={!isLead}>
          <Columns>
            <div>
              <Group>
                <SectionTitle as="h2">Schools the house starts from</SectionTitle>
                <FieldGrid $columns={2}>
                  <SelectInput
                    label={LABELS.brewStyle}
                    options={optionsOf(STYLES, STYLE_LABELS)}
                    {...bind('brewStyle')}
                  />
                  <SelectInput
                    label={LABELS.temperatureSchool}
                    options={optionsOf(TEMPERATURE_SCHOOLS, TEMPERATURE_SCHOOL_LABELS)}
                    {...bind('temperatureSchool')}
                  />
                  <SelectInput
                    label={LABELS.restSchool}
                    options={optionsOf(REST_SCHOOLS, REST_SCHOOL_LABELS)}
                    {...bind('restSchool')}
                  />
                  <SelectInput
                    label="Time counts"
                    options={optionsOf(CLOCKS, CLOCK_LABELS)}
                    {...bind('clock')}
                  />
                  <QuantityInput
                    label={LABELS.doseToleranceG}
                    quantity="doseToleranceG"
                    step={0.1}
                    {...bind('doseToleranceG')}
                  />
                  <QuantityInput
                    label={LABELS.yieldToleranceG}
                    quantity="yieldToleranceG"
                    step={0.1}
                    hint="At least; and 4 % of a longer yield"
                    {...bind('yieldToleranceG')}
                  />
                  <SelectInput
                    label={LABELS.doseSchool}
                    options={optionsOf(DOSE_SCHOOLS, DOSE_SCHOOL_LABELS)}
                    {...bind('doseSchool')}
                  />
                  <SelectInput
                    label={LABELS.headspace}
                    options={optionsOf(HEADSPACES, HEADSPACE_LABELS)}
                    {...bind('headspace')}
                  />
                  <QuantityInput
                    label={LABELS.proofGoalPct}
                    quantity="proofGoalPct"
                    step={5}
                    hint="80 to 90: surer takes more shots"
                    {...bind('proofGoalPct')}
                  />
                  <SelectInput
                    label={LABELS.tasteLevers}
                    options={optionsOf(TASTE_LEVERS, TASTE_LEVER_LABELS)}
                    {...bind('tasteLevers')}
                  />
                  <QuantityInput
                    label={LABELS.leastLiking}
                    quantity="leastLiking"
                    step={1}
                    {...bind('leastLiking')}
                  />
                  <QuantityInput
                    label={LABELS.cremaGPerMl}
                    quantity="cremaGPerMl"
                    step={0.05}
                    hint="Espresso with its crema; for yields read by volume"
                    {...bind('cremaGPerMl')}
                  />
                </FieldGrid>
                <FieldGrid $columns={2}>
                  {REGION.map((name) => (
                    <QuantityInput
                      key={name}
                      label={LABELS[name]}
                      quantity={HOUSE[name].limit}
                      step={0.5}
                      {...bind(name)}
                    />
                  ))}
                </FieldGrid>
                <Small>
                  The region of strength and extraction the house aims at is drawn beside its shots;
                  empty: none is. Nothing is judged by it.
                </Small>
                <Choice
                  label="A shot is judged first by"
                  value={text.tasteFirst ? 'taste' : 'time'}
                  onChange={(word) => change({ tasteFirst: word === 'taste' })}
                  options={FIRST}
                />
                <Small>
                  A release can differ; recipes and shots made so far keep what they were made with.
                </Small>
              </Group>
              <Group>
                <SectionTitle as="h2">Money and days</SectionTitle>
                <FieldGrid>
                  <QuantityInput
                    label="Roasted coffee costs, per kg"
                    quantity="pricePerKg"
                    step={1}
                    hint="Shows what a dial-in costs"
                    {...bind('coffeePricePerKg')}
                  />
                  <TextInput label={LABELS.currency} hint="Three letters" {...bind('currency')} />
                  <TextInput
                    label={LABELS.timeZone}
                    hint="Its name, like Europe/Madrid; the machine’s when empty"
                    {...bind('timeZone')}
                  />
                  <TextInput
                    label="Closed days, besides"
                    hint="As 2026-12-25, separated by commas"
                    {...bind('closedDates')}
                  />
                </FieldGrid>
                <ChipRow role="group" aria-label="Closed every">
                  <Small>Closed every</Small>
                  {WEEKDAYS.map((name, i) => (
                    <Chip
                      key={name}
                      isSelected={text.closedWeekdays.includes(i + 1)}
                      onChange={(isClosed) =>
                        change({
                          closedWeekdays: isClosed
                            ? [...text.closedWeekdays, i + 1].sort()
                            : text.closedWeekdays.filter((day) => day !== i + 1),
                        })
                      }
                    >
                      {name}
                    </Chip>
                  ))}
                </ChipRow>
                <Small>Planned checks step over closed days.</Small>
              </Group>
            </div>
            <div>
              <Group>
                <SectionTitle as="h2">Roast words by colour</SectionTitle>
                <RoastMap
                  readings={text.roastMap}
                  onChange={(roastMap) => change({ roastMap })}
                  faultOf={faultOf}
                  wordOf={roastWord}
                />
              </Group>
              <Group>
                <SectionTitle as="h2">Name and address</SectionTitle>
                <FieldGrid $columns={2}>
                  <TextInput label={LABELS.name} {...bind('name', 'house.name')} />
                  <TextInput
                    label={LABELS.publicAddress}
                    hint="Stands in the code on paper cards, e.g. https://recipes.example.org"
                    {...bind('publicAddress')}
                  />
                  <TextInput
                    label={LABELS.siteFolder}
                    hint="Each new version is put there as well; a whole path, or empty"
                    {...bind('siteFolder')}
                  />
                </FieldGrid>
              </Group>
              <Group>
                <CardFacts text={text} bind={bind} change={change} faultOf={faultOf} />
              </Group>
              {backups && (
                <Group>
                  <SectionTitle as="h2" id="backups">
                    Backups
                  </SectionTitle>
                  <FieldGrid>
                    <TextInput
                      label={LABELS.backupFolder}
                      hint="A whole path on the machine the server runs on"
                      {...bind('backupFolder')}
                    />
                    <QuantityInput
                      label={LABELS.backupDays}
                      quantity="backupDays"
                      step={1}
                      {...bind('backupDays')}
                    />
                    <QuantityInput
                      label={LABELS.backupWeeks}
                      quantity="backupWeeks"
                      step={1}
                      {...bind('backupWeeks')}
                    />
                  </FieldGrid>
                  <Backups backups={backups} folder={house.backupFolder} />
                </Group>
              )}
            </div>
          </Columns>
        </Plain>
        <Faults faults={faults} shown={form.hasMerged ? [...SHOWN, 'house'] : SHOWN} />
        {isSaved && (
          <Notice $kind="good" role="status">
            Saved. New proposals and judgements follow it.
          </Notice>
        )}
        {isLead && (
          <p>
            <MainButton type="submit" isPending={isBusy}>
              Save the house
            </MainButton>
          </p>
        )}
      </Form>
    </Page>
  );
}
