'use client';

import { Link } from '@/ui/Link';
import { useState, type FormEvent } from 'react';
import styled from 'styled-components';
import { ROAST_BANDS } from '@/core/coffee/roastBand';
import { PROCESS_LABELS, PROCESSES, STYLE_LABELS, STYLES } from '@/core/vocabulary';
import { MainButton, QuietButton } from '@/ui/Button';
import { SelectInput, TextInput } from '@/ui/fields';
import { FoundParts } from '@/ui/FoundParts';
import { Page } from '@/ui/Page';
import { labelText, Small, StageTitle } from '@/ui/type';
import { useQuestion } from '@/ui/useQuestion';
import type { FindView } from '@/views/find';

const Question = styled.form`
  display: grid;
  grid-template-columns: minmax(0, 1fr) auto;
  gap: 10px;
  align-items: start;

  > div > button {
    margin-top: 20px;
  }
`;

const Filters = styled.section`
  grid-column: 1 / -1;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px 14px;
`;

const Hits = styled.ol`
  display: grid;
  border-top: 1px solid var(--rule-strong);

  li {
    display: grid;
    grid-template-columns: minmax(140px, 220px) minmax(0, 1fr);
    gap: 2px 18px;
    padding: 8px 0;
    border-bottom: 1px solid var(--rule);
  }

  a {
    font-weight: 600;
    overflow-wrap: anywhere;
  }

  .place {
    ${labelText}
  }

  p {
    overflow-wrap: anywhere;
  }

  @media (max-width: 640px) {
    li {
      grid-template-columns: minmax(0, 1fr);
    }
  }
`;

const ALL = { value: '', label: 'all' };
const NOTHING = { q: '', process: '', roast: '', variety: '', style: '', year: '' };

/** Anything in the house by its words: coffees, notes, remarks, cups, producers, people. */
export function FindPage({ found: { asked, hits, isCut, years } }: { found: FindView }) {
  const { choose, isChoosing } = useQuestion();
  const [words, setWords] = useState(asked.words);
  const [variety, setVariety] = useState(asked.variety ?? '');
  const onSubmit = (event: FormEvent) => {
    event.preventDefault();
    choose({ q: words.trim(), variety: variety.trim() });
  };
  const isAsked = Object.values(asked).some((value) => value !== null && value !== '');
  return (
    <Page>
      <StageTitle as="h1">Find anything</StageTitle>
      <Question onSubmit={onSubmit} role="search" aria-label="Find">
        <TextInput
          label="Words"
          hint="Of coffees, notes, remarks, cups, cards, producers, people; the beginning of a word does"
          value={words}
          onChange={setWords}
          autoFocus
        />
        <div>
          <MainButton type="submit">Find</MainButton>
        </div>
        <Filters aria-label="Only">
          <SelectInput
            label="Process"
            value={asked.process ?? ''}
            onChange={(process) => choose({ process })}
            options={[ALL, ...PROCESSES.map((value) => ({ value, label: PROCESS_LABELS[value] }))]}
          />
          <SelectInput
            label="Roast"
            value={asked.roast ?? ''}
            onChange={(roast) => choose({ roast })}
            options={[ALL, ...ROAST_BANDS.map((value) => ({ value, label: value }))]}
          />
          <TextInput label="Variety" value={variety} onChange={setVariety} />
          <SelectInput
            label="Style"
            value={asked.style ?? ''}
            onChange={(style) => choose({ style })}
            options={[ALL, ...STYLES.map((value) => ({ value, label: STYLE_LABELS[value] }))]}
          />
          <SelectInput
            label="Roasted in"
            value={asked.year ?? ''}
            onChange={(year) => choose({ year })}
            options={[ALL, ...years.map((value) => ({ value, label: value }))]}
          />
        </Filters>
      </Question>
      <p role="status">
        {isChoosing
          ? 'Looking.'
          : !isAsked
            ? 'Enter a word, or choose a filter.'
            : hits.length === 0
              ? 'Nothing in the house holds all of these words under these filters. Try fewer words, or the beginning of one.'
              : `${isCut ? 'The first ' : ''}${hits.length} ${hits.length === 1 ? 'place' : 'places'}${isCut ? '; more words narrow it' : ''}.`}{' '}
        {isAsked && (
          <QuietButton
            onPress={() => {
              setWords('');
              setVariety('');
              choose(NOTHING);
            }}
          >
            Clear all
          </QuietButton>
        )}
      </p>
      {hits.length > 0 && (
        <Hits>
          {hits.map(({ id, href, releaseName, place, parts }) => (
            <li key={id}>
              <div>
                <Link href={href}>{releaseName ?? 'People'}</Link>
                <div className="place">{place}</div>
              </div>
              <p>
                <FoundParts parts={parts} />
              </p>
            </li>
          ))}
        </Hits>
      )}
      <Small>
        A reader of this page sees what every signed-in person may see; what was deleted is not
        found.
      </Small>
    </Page>
  );
}
