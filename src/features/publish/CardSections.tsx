/** Parts of a card under its figures: the ageing coffee, milk, cups, other setups. */
import styled from 'styled-components';
import type { Language } from '@/core/language';
import { cardWords } from '@/words/cardWords';
import type { RecipeBody } from '@/formats/recipe/document';
import { drinksIn, fitsIn, milkIn, phasesIn } from '@/formats/recipe/sections';
import { labelText } from '@/ui/type';

const Section = styled.section`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 6px;

  h2,
  h3 {
    font-size: 15px;
  }

  p {
    overflow-wrap: anywhere;
  }
`;

const Soft = styled.p`
  ${labelText}
`;

/** Rows of a few words; on a narrow screen each row stands as a block. */
const Table = styled.table`
  border-collapse: collapse;
  width: 100%;

  th,
  td {
    text-align: left;
    vertical-align: top;
    padding: 4px 14px 4px 0;
    border-top: 1px solid var(--rule);
    overflow-wrap: break-word;
  }

  th {
    ${labelText}
    font-weight: 400;
  }

  [data-today='true'] {
    font-weight: 660;
  }

  @media (max-width: 520px) {
    thead {
      position: absolute;
      clip-path: inset(50%);
    }

    tr {
      display: grid;
      border-top: 1px solid var(--rule);
      padding: 6px 0;
    }

    th,
    td {
      border: 0;
      padding: 1px 0;
    }

    td[data-label]::before {
      content: attr(data-label) ': ';
      color: var(--ink-soft);
    }
  }
`;

const FitList = styled.dl`
  display: grid;
  gap: 8px;

  dt {
    font-weight: 620;
  }

  dt small {
    ${labelText}
    font-weight: 400;
  }

  dd {
    overflow-wrap: anywhere;
  }
`;

export interface SectionProps {
  readonly body: RecipeBody;
  readonly language: Language;
  readonly Heading: 'h2' | 'h3';
}

/** The days the coffee passes through; whoever knows the roast date finds today's. */
export function Phases({ body, language, Heading }: SectionProps) {
  const phases = phasesIn(body, language);
  if (!phases) return null;
  return (
    <Section>
      <Heading>{cardWords(language)('phases.title')}</Heading>
      <Table>
        <tbody>
          {phases.rows.map(({ from, to, days, grind }) => (
            <tr key={from} data-from={from} data-to={to}>
              <th scope="row">{days}</th>
              <td>{grind}</td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Soft>{phases.foot}</Soft>
    </Section>
  );
}

export function Milk({ body, language, Heading }: SectionProps) {
  const line = milkIn(body, language);
  if (line === '') return null;
  return (
    <Section>
      <Heading>{cardWords(language)('card.inMilk')}</Heading>
      <p>{line}</p>
    </Section>
  );
}

export function Drinks({ body, language, Heading }: SectionProps) {
  const rows = drinksIn(body, language);
  if (rows.length === 0) return null;
  const say = cardWords(language);
  const hasFill = rows.some(({ fill }) => fill !== '');
  return (
    <Section>
      <Heading>{say('drinks.title')}</Heading>
      <Table>
        <thead>
          <tr>
            <th scope="col">{say('drinks.drink')}</th>
            <th scope="col">{say('drinks.cup')}</th>
            <th scope="col">{say('drinks.espresso')}</th>
            <th scope="col">{say('drinks.button')}</th>
            {hasFill && <th scope="col">{say('drinks.fill')}</th>}
          </tr>
        </thead>
        <tbody>
          {rows.map(({ name, cup, espresso, button, fill }) => (
            <tr key={name}>
              <th scope="row">{name}</th>
              <td data-label={say('drinks.cup')}>{cup}</td>
              <td data-label={say('drinks.espresso')}>{espresso}</td>
              <td data-label={say('drinks.button')}>{button}</td>
              {hasFill && <td>{fill}</td>}
            </tr>
          ))}
        </tbody>
      </Table>
      <Soft>{say('drinks.rough')}</Soft>
    </Section>
  );
}

export function Fits({ body, language, Heading }: SectionProps) {
  const rows = fitsIn(body, language);
  if (rows.length === 0) return null;
  const say = cardWords(language);
  return (
    <Section>
      <Heading>{say('fits.title')}</Heading>
      <FitList>
        {rows.map(({ title, mark, figures, sentences }) => (
          <div key={title}>
            <dt>
              {title} {mark !== '' && <small>({mark})</small>}
            </dt>
            {figures !== '' && <dd>{figures}</dd>}
            <dd>{sentences.join(' ')}</dd>
          </div>
        ))}
      </FitList>
      <Soft>{say('card.models')}</Soft>
    </Section>
  );
}
