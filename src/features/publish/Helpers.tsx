/** What a card's page can do for its reader. Hidden until the page's script has taken each of them up (src/card). */
import type { ReactNode } from 'react';
import styled from 'styled-components';
import { CARD_READER_TASTES } from '@/core/advice/cardReader';
import { helperWordsIn } from '@/core/language/helpers/words';
import type { Language } from '@/core/language/language';
import { wordsIn } from '@/core/language/words';
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
  const words = helperWordsIn(language);
  const { today, fit, shot, clock, remark } = words;
  return (
    <Box data-helpers={language} data-document={documentPath} data-version={version} hidden>
      <Helper name="today" title={today.title}>
        <form noValidate>
          <div data-fields="">
            <Field name="roasted" label={today.roasted} type="date" />
            <button type="submit">{today.find}</button>
          </div>
          <output />
        </form>
      </Helper>
      <Helper name="clock" title={clock.title}>
        <form noValidate>
          <output data-clock="">0.0</output>
          <div data-fields="">
            <button
              type="button"
              data-do="press"
              data-start={clock.start}
              data-drip={clock.drip}
              data-stop={clock.stop}
            >
              {clock.start}
            </button>
            <button type="button" data-do="reset">
              {clock.reset}
            </button>
            <button type="button" data-do="take">
              {clock.take}
            </button>
          </div>
          <p data-times="" />
        </form>
      </Helper>
      <Helper name="shot" title={shot.title}>
        <form noValidate>
          <div data-fields="">
            <Field name="timeS" label={shot.time} />
            <Field name="yieldG" label={shot.out} />
            <Field name="yieldMl" label={shot.outMl} />
            <Field name="doseG" label={shot.dose} placeholder={String(doseG)} />
            <Field name="firstDripS" label={shot.drip} />
            <ClockChoice label={fit.clock} language={language} />
            <label>
              {shot.tasted}
              <select name="taste">
                <option value="">{shot.notTasted}</option>
                {CARD_READER_TASTES.map((taste) => (
                  <option key={taste} value={taste}>
                    {shot.taste[taste]}
                  </option>
                ))}
              </select>
            </label>
            <label data-moved="" hidden>
              {shot.moved}
              <input name="finerSteps" inputMode="text" autoComplete="off" />
              <small>{shot.movedHint}</small>
            </label>
          </div>
          <button type="submit">{shot.ask}</button>
          <output />
        </form>
      </Helper>
      <Helper name="fit" title={fit.title}>
        <form noValidate>
          <div data-fields="">
            <Field name="diameterMm" label={fit.diameter} placeholder="58" />
            <Field name="ratedG" label={fit.rated} placeholder="18" />
            <Field name="fixedC" label={fit.heat} hint={fit.heatHint} />
            <ClockChoice label={fit.clock} language={language} />
          </div>
          <Tick name="canShape" label={fit.canShape} />
          <Tick name="soaksByHand" label={fit.lever} />
          <Tick name="noScale" label={fit.noScale} />
          <Tick name="isPressurised" label={fit.pressurised} />
          <button type="submit">{fit.show}</button>
          <output />
        </form>
      </Helper>
      <Helper name="remark" title={remark.title}>
        <form noValidate>
          <label>
            {remark.text}
            <textarea name="words" rows={3} maxLength={400} />
            <small>{remark.hint}</small>
          </label>
          <button type="submit">{remark.send}</button>
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
  const words = wordsIn(language).clock;
  return (
    <label>
      {label}
      <select name="clock">
        {CLOCKS.map((one) => (
          <option key={one} value={one}>
            {words[one]}
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
