'use client';

import { Fragment, type ReactNode } from 'react';
import styled from 'styled-components';
import type { Language } from '@/core/language';
import { dayIn, LOCALES } from '@/words/figures';
import { cardWords } from '@/words/cardWords';
import type { RecipeBody } from '@/formats/recipe/document';
import {
  CARD_FACTS,
  CARD_SENSES,
  cardLines,
  coffeeWords,
  ownWordsIn,
} from '@/formats/recipe/lines';
import { secondsIn } from '@/formats/recipe/seconds';
import { ProgrammeCurve } from '@/ui/programme/ProgrammeCurve';
import { labelText, readingText } from '@/ui/type';
import { Drinks, Fits, Milk, Phases } from './CardSections';

/** The card: what a stranger needs to repeat the recipe. The same on screen, phone and paper. */
const Card = styled.article`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 18px;
  padding: 22px 24px 24px;
  border: 2px solid var(--ink);
  background: var(--enamel-raised);

  @media (max-width: 640px) {
    padding: 14px 14px 18px;
  }
`;

const Head = styled.header`
  display: grid;
  gap: 3px;

  h1,
  h2 {
    font-size: 30px;
    font-stretch: 96%;
    overflow-wrap: anywhere;
  }

  p {
    ${labelText}
    font-size: 15px;
  }
`;

const Masses = styled.div`
  display: grid;
  grid-template-columns: repeat(4, minmax(0, auto));
  justify-content: space-between;
  gap: 4px 28px;
  padding: 12px 16px 13px;
  background: var(--plate);
  color: var(--plate-ink);
  border-radius: 3px;

  dt {
    font-stretch: var(--narrow);
    font-size: 14px;
    color: var(--plate-soft);
  }

  dd {
    ${readingText}
    font-size: 24px;
  }

  [data-long='true'] dd {
    font-stretch: 88%;
    font-size: 17px;
    line-height: 1.7;
  }

  @media (max-width: 640px) {
    grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);

    dd {
      font-size: 20px;
    }

    [data-long='true'] dd {
      font-size: 17px;
    }
  }
`;

const Facts = styled.dl`
  display: grid;
  grid-template-columns: minmax(120px, auto) 1fr;
  gap: 5px 18px;

  @media (max-width: 400px) {
    grid-template-columns: minmax(0, 2fr) minmax(0, 3fr);
  }

  dt {
    ${labelText}
  }

  dd {
    font-weight: 520;
    overflow-wrap: anywhere;
  }
`;

/** As its writer broke the lines; the card on paper leaves it to the page. */
const Story = styled.p`
  max-width: 62ch;
  white-space: pre-wrap;
  overflow-wrap: anywhere;
`;

const Curve = styled.div`
  max-width: 300px;
`;

const Senses = styled.div`
  display: grid;
  grid-template-columns: repeat(3, 1fr);
  gap: 16px;

  h2,
  h3 {
    font-size: 15px;
    padding-top: 6px;
    border-top: 4px solid var(--verdigris);
  }

  .short > :first-child {
    border-top-color: var(--under);
  }

  .long > :first-child {
    border-top-color: var(--over);
  }

  p {
    overflow-wrap: anywhere;
  }

  @media (max-width: 640px) {
    grid-template-columns: 1fr;
  }
`;

const Foot = styled.footer`
  ${labelText}
  display: grid;
  gap: 4px;
`;

interface CardBodyProps {
  readonly body: RecipeBody;
  readonly language?: Language;
  readonly isPreview?: boolean;
  /** Stands under the figures: what a page can do for whoever brews from them. */
  readonly children?: ReactNode;
}

export function CardBody({ body, language = 'en', isPreview = false, children }: CardBodyProps) {
  const lines = cardLines(body, language);
  const say = cardWords(language);
  const { recipe } = body;
  const own = ownWordsIn(body, language);
  const Title = isPreview ? 'h2' : 'h1';
  const Heading = isPreview ? 'h3' : 'h2';
  const part = { body, language, Heading } as const;
  return (
    <Card lang={LOCALES[language]}>
      <Head>
        <p>{body.roastery}</p>
        <Title>{body.coffee.name}</Title>
        <p>{coffeeWords(body, language)}</p>
      </Head>
      <Masses as="dl">
        <Figure name={say('labels.Dose')} value={lines.Dose} />
        <Figure name={say('labels.In the cup')} value={lines['In the cup']} />
        <Figure
          name={`${say('labels.Time')}, ${say(`clock.${recipe.clock}`)}`}
          value={secondsIn(language, recipe.timeS)}
        />
        <Figure name={say('labels.Temperature')} value={lines.Temperature} isLong />
      </Masses>
      <Phases {...part} />
      <Milk {...part} />
      {children}
      <Facts>
        {CARD_FACTS.filter((name) => lines[name] !== '').map((name) => (
          <Fragment key={name}>
            <dt>{say(`labels.${name}`)}</dt>
            <dd>
              {lines[name]}
              {name === 'Programme' && recipe.steps && recipe.steps.length > 1 && (
                <Curve>
                  <ProgrammeCurve programme={recipe.steps} size="small" />
                </Curve>
              )}
            </dd>
          </Fragment>
        ))}
      </Facts>
      {body.coffee.story && (
        <Story lang={LOCALES[body.language ?? 'en']}>{body.coffee.story}</Story>
      )}
      <Senses>
        {CARD_SENSES.map((name, i) => (
          <div key={name} className={SENSE_LOOKS[i]!}>
            <Heading>{say(`labels.${name}`)}</Heading>
            <p lang={LOCALES[own.languageOf(SENSE_NAMES[i]!)]}>{lines[name]}</p>
          </div>
        ))}
      </Senses>
      <Drinks {...part} />
      <Fits {...part} />
      <Foot>
        <p>
          {say('version', { number: body.version, day: dayIn(language, body.publishedOn) })}{' '}
          {lines.Repeated}
        </p>
        {own.whatChanged && (
          <p lang={LOCALES[own.languageOf('whatChanged')]}>
            {say('whatChanged')}: {own.whatChanged}
          </p>
        )}
        <p>{say('caution')}</p>
      </Foot>
    </Card>
  );
}

/** The bar over each: on target, under, over. */
const SENSE_LOOKS = ['', 'short', 'long'] as const;
const SENSE_NAMES = ['right', 'short', 'long'] as const;

function Figure({
  name,
  value,
  isLong = false,
}: {
  name: string;
  value: string;
  isLong?: boolean;
}) {
  return (
    <div data-long={isLong}>
      <dt>{name}</dt>
      <dd>{value}</dd>
    </div>
  );
}
