'use client';

import styled from 'styled-components';
import { CLOCK_LABELS, PROCESS_LABELS, roastWord, STYLE_LABELS } from '@/core/vocabulary';
import type { RecipeBody } from '@/formats/recipeDocument';
import { dayWords } from '@/ui/dates';
import { labelText, readingText } from '@/ui/type';

/** The card: what a stranger needs to repeat the recipe. The same on screen, phone and paper. */
const Card = styled.article`
  display: grid;
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
  grid-template-columns: repeat(4, auto);
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
    white-space: nowrap;
  }

  @media (max-width: 640px) {
    grid-template-columns: 1fr 1fr;

    dd {
      font-size: 20px;
    }
  }
`;

const Facts = styled.dl`
  display: grid;
  grid-template-columns: minmax(120px, auto) 1fr;
  gap: 5px 18px;

  dt {
    ${labelText}
  }

  dd {
    font-weight: 520;
    overflow-wrap: anywhere;
  }
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

export function CardBody({ body, isPreview = false }: { body: RecipeBody; isPreview?: boolean }) {
  const { coffee, recipe, setup, sensory, tolerance } = body;
  const Title = isPreview ? 'h2' : 'h1';
  const Heading = isPreview ? 'h3' : 'h2';
  return (
    <Card>
      <Head>
        <p>{body.roastery}</p>
        <Title>{coffee.name}</Title>
        <p>{coffeeWords(body)}</p>
      </Head>
      <Masses as="dl">
        <Figure name="Dose" value={`${recipe.doseG.toFixed(1)} g`} />
        <Figure name="In the cup" value={`${recipe.yieldG.toFixed(1)} g`} />
        <Figure
          name={`Time, ${CLOCK_LABELS[recipe.clock]}`}
          value={`${recipe.timeS[0]}-${recipe.timeS[1]} s`}
        />
        <Figure name="Water" value={`${recipe.temperatureC.toFixed(1)} °C`} />
      </Masses>
      <Facts>
        <dt>Ratio</dt>
        <dd>1:{recipe.ratio.toFixed(2)}</dd>
        <dt>Tolerances</dt>
        <dd>
          dose ± {tolerance.doseG} g, yield ± {tolerance.yieldG} g
        </dd>
        <dt>Programme</dt>
        <dd>
          {STYLE_LABELS[body.style]}: {recipe.programme}
        </dd>
        <dt>Temperature</dt>
        <dd>{body.temperatureMeasured}</dd>
        <dt>Basket</dt>
        <dd>
          {setup.basket}, {setup.diameterMm} mm, rated {setup.ratedG} g
        </dd>
        <dt>Made on</dt>
        <dd>
          {setup.machine}; {setup.grinder} at {setup.dial}. Your dial will differ: grind for the
          time.
        </dd>
        <dt>Rest</dt>
        <dd>
          Use from day {recipe.restDays[0]} to {recipe.restDays[1]} after the roast of{' '}
          {dayWords(coffee.roastDate)}
        </dd>
        {coffee.promisedNotes.length > 0 && (
          <>
            <dt>Look for</dt>
            <dd>{coffee.promisedNotes.join(', ')}</dd>
          </>
        )}
      </Facts>
      <Senses>
        <div>
          <Heading>When it is right</Heading>
          <p>{sensory.right}</p>
        </div>
        <div className="short">
          <Heading>When it ran short</Heading>
          <p>{sensory.short}</p>
        </div>
        <div className="long">
          <Heading>When it ran long</Heading>
          <p>{sensory.long}</p>
        </div>
      </Senses>
      <Foot>
        <p>
          Version {body.version}, {dayWords(body.publishedOn)}.{' '}
          {body.confirmedShots > 1
            ? `Repeated on target ${body.confirmedShots} times.`
            : 'Not yet repeated on target.'}
        </p>
        {body.whatChanged && <p>What changed and why: {body.whatChanged}</p>}
        <p>
          If a shot chokes, wait for the pressure to vent before you loosen the portafilter. Group,
          portafilter and steam scald. For electrical, water and pressure work: the maker’s manual
          and a licensed technician.
        </p>
      </Foot>
    </Card>
  );
}

function Figure({ name, value }: { name: string; value: string }) {
  return (
    <div>
      <dt>{name}</dt>
      <dd>{value}</dd>
    </div>
  );
}

function coffeeWords({ coffee }: RecipeBody): string {
  const [part] = coffee.components;
  return [
    part?.producer,
    part?.region,
    part?.country,
    part?.variety,
    part?.process && PROCESS_LABELS[part.process].toLowerCase(),
    coffee.roastLevel !== undefined && `${roastWord(coffee.roastLevel).toLowerCase()} roast`,
  ]
    .filter((word) => Boolean(word))
    .join(', ');
}
