/** What a card's page can do for its reader. Hidden until the page's script has taken each of them up (src/card). */
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { CARD_READER_TASTES } from '@/core/advice/cardReader';
import { helperWords } from '@/words/helperWords';
import type { Language } from '@/core/language';
import { cardWords } from '@/words/cardWords';
import { CLOCKS } from '@/core/vocabulary';
import { labelText } from '@/ui/type';

const Box = styled.div`
  display: grid;
  gap: 1px;

  &[hidden],
  [hidden] {
    display: none;
  }

  details {
    border: 1px solid var(--rule-strong);
    background: var(--enamel-raised);
    margin: 0 0 -1px;
  }

  summary {
    min-height: 48px;
    padding: 12px 16px;
    font-weight: 620;
    cursor: pointer;
  }

  form,
  [data-answer] {
    display: grid;
    gap: 10px;
    padding: 4px 16px 16px;
  }

  [data-fields] {
    display: grid;
    grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
    gap: 10px;
    align-items: end;
  }

  label {
    display: grid;
    gap: 3px;
  }

  label[data-tick] {
    grid-auto-flow: column;
    justify-content: start;
    align-items: center;
    gap: 10px;
    min-height: 44px;
  }

  input:not([type='checkbox']),
  select,
  textarea {
    font: inherit;
    min-height: 44px;
    width: 100%;
    padding: 6px 10px;
    color: var(--ink);
    background: var(--enamel);
    border: 1px solid var(--rule-strong);
    border-radius: 2px;
  }

  input[type='checkbox'] {
    width: 22px;
    height: 22px;
  }

  small {
    ${labelText}
  }

  button {
    font: inherit;
    font-weight: 620;
    min-height: 48px;
    padding: 8px 18px;
    justify-self: start;
    color: var(--ink);
    background: var(--enamel-raised);
    border: 1px solid var(--ink);
    border-radius: 2px;
    cursor: pointer;
  }

  output {
    font-size: 17px;
  }

  [data-clock] {
    font-size: 44px;
    font-variant-numeric: tabular-nums;
  }

  @media print {
    display: none;
  }
`;

interface HelpersProps {
  readonly language: Language;
  /** Where the published document stands. */
  readonly documentPath: string;
  readonly version: number;
  readonly doseG: number;
}

export function Helpers({ language, documentPath, version, doseG }: HelpersProps) {
  const say = helperWords(language);
  return (
    <Box data-helpers={language} data-document={documentPath} data-version={version} hidden>
      <Helper name="today" title={say('today.title')}>
        <form noValidate>
          <div data-fields="">
            <Field name="roasted" label={say('today.roasted')} type="date" />
            <button type="submit">{say('today.find')}</button>
          </div>
          <output />
        </form>
      </Helper>
      <Helper name="clock" title={say('clock.title')}>
        <form noValidate>
          <output data-clock="">0.0</output>
          <div data-fields="">
            <button
              type="button"
              data-do="press"
              data-start={say('clock.start')}
              data-drip={say('clock.drip')}
              data-stop={say('clock.stop')}
            >
              {say('clock.start')}
            </button>
            <button type="button" data-do="reset">
              {say('clock.reset')}
            </button>
            <button type="button" data-do="take">
              {say('clock.take')}
            </button>
          </div>
          <p data-times="" />
        </form>
      </Helper>
      <Helper name="shot" title={say('shot.title')}>
        <form noValidate>
          <div data-fields="">
            <Field name="timeS" label={say('shot.time')} />
            <Field name="yieldG" label={say('shot.out')} />
            <Field name="yieldMl" label={say('shot.outMl')} />
            <Field name="doseG" label={say('shot.dose')} placeholder={String(doseG)} />
            <Field name="firstDripS" label={say('shot.drip')} />
            <ClockChoice label={say('fit.clock')} language={language} />
            <label>
              {say('shot.tasted')}
              <select name="taste">
                <option value="">{say('shot.notTasted')}</option>
                {CARD_READER_TASTES.map((taste) => (
                  <option key={taste} value={taste}>
                    {say(`shot.taste.${taste}`)}
                  </option>
                ))}
              </select>
            </label>
            <label data-moved="" hidden>
              {say('shot.moved')}
              <input name="finerSteps" inputMode="text" autoComplete="off" />
              <small>{say('shot.movedHint')}</small>
            </label>
          </div>
          <button type="submit">{say('shot.ask')}</button>
          <output />
        </form>
      </Helper>
      <Helper name="fit" title={say('fit.title')}>
        <form noValidate>
          <div data-fields="">
            <Field name="diameterMm" label={say('fit.diameter')} placeholder="58" />
            <Field name="ratedG" label={say('fit.rated')} placeholder="18" />
            <Field name="fixedC" label={say('fit.heat')} hint={say('fit.heatHint')} />
            <ClockChoice label={say('fit.clock')} language={language} />
          </div>
          <Tick name="canShape" label={say('fit.canShape')} />
          <Tick name="soaksByHand" label={say('fit.lever')} />
          <Tick name="noScale" label={say('fit.noScale')} />
          <Tick name="isPressurised" label={say('fit.pressurised')} />
          <button type="submit">{say('fit.show')}</button>
          <output />
        </form>
      </Helper>
      <Helper name="remark" title={say('remark.title')}>
        <form noValidate>
          <label>
            {say('remark.text')}
            <textarea name="words" rows={3} maxLength={400} />
            <small>{say('remark.hint')}</small>
          </label>
          <button type="submit">{say('remark.send')}</button>
          <output />
        </form>
      </Helper>
    </Box>
  );
}

function Helper({ name, title, children }: { name: string; title: string; children: ReactNode }) {
  return (
    <details data-helper={name}>
      <summary>{title}</summary>
      {children}
    </details>
  );
}

function Field({
  name,
  label,
  hint,
  type = 'text',
  placeholder,
}: {
  name: string;
  label: string;
  hint?: string;
  type?: 'text' | 'date';
  placeholder?: string;
}) {
  return (
    <label>
      {label}
      <input
        name={name}
        type={type}
        autoComplete="off"
        placeholder={placeholder}
        {...(type === 'text' && { inputMode: 'decimal' as const })}
      />
      {hint && <small>{hint}</small>}
    </label>
  );
}

/** Which clock the reader's times count on. */
function ClockChoice({ label, language }: { label: string; language: Language }) {
  const say = cardWords(language);
  return (
    <label>
      {label}
      <select name="clock">
        {CLOCKS.map((one) => (
          <option key={one} value={one}>
            {say(`clock.${one}`)}
          </option>
        ))}
      </select>
    </label>
  );
}

function Tick({ name, label }: { name: string; label: string }) {
  return (
    <label data-tick="">
      <input type="checkbox" name={name} />
      {label}
    </label>
  );
}
