'use client';

import dynamic from 'next/dynamic';
import { figure, signed } from '@/core/figure';
import { Link } from '@/ui/Link';
import { useState } from 'react';
import styled from 'styled-components';
import type { StoredRelease } from '@/data/releases';
import { cardWords } from '@/words/cardWords';
import type { Ease } from '@/core/ease/ease';
import { RELEASE } from '@/core/entity/release';
import { roastWord } from '@/core/vocabulary';
import type { NearRow } from '@/views/pastWords';
import type { BatchView, ReleaseView } from '@/views/release';
import { Button, mainLook } from '@/ui/Button';
import { NewBatchOffer } from '@/ui/NewBatchOffer';
import { useMay } from '@/ui/person';
import { NearestTable } from '@/ui/PastTable';
import { ContributionChart } from '@/ui/ContributionChart';
import { Notice, SectionTitle, StageTitle, labelText } from '@/ui/type';
import { Batches } from './Batches';

/** Fetched when it is opened. */
const EditRelease = dynamic(() => import('./EditRelease').then((all) => all.EditRelease));

const Said = styled.dl`
  display: grid;
  gap: 8px;
  max-width: 70ch;

  dt {
    ${labelText}
  }

  dd {
    white-space: pre-wrap;
    overflow-wrap: anywhere;
  }
`;

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 20px;
  max-width: 760px;
`;

const Head = styled.div`
  display: flex;
  flex-wrap: wrap;
  justify-content: space-between;
  align-items: end;
  gap: 12px;
`;

const Actions = styled.span`
  display: flex;
  align-items: center;
  gap: 14px;
`;

const NextLink = styled(Link)`
  ${mainLook}
`;

const Missing = styled.ul`
  display: grid;
  gap: 4px;
  margin-top: 8px;
`;

const EASE_SPAN = [-2.4, 2.4] as const;
const TICKS = [
  { value: -2, label: '−2 hard' },
  { value: -1, label: '−1' },
  { value: 0, label: '0' },
  { value: 1, label: '+1' },
  { value: 2, label: '+2 easy' },
];

/** Wider than this, the interval holds both stubborn and easy coffees. */
const TOO_WIDE = 2;

const twoDigits = (value: number) => signed(value, 2);

export interface ReadStageProps {
  readonly view: ReleaseView;
  readonly ease: Ease;
  /** Can a bean colour be read here? It takes two readings of the house's own. */
  readonly hasBeanMap: boolean;
  /** Past releases most like this one. */
  readonly nearest: readonly NearRow[];
}

export function ReadStage({ view, ease, hasBeanMap, nearest }: ReadStageProps) {
  const [isEditing, setEditing] = useState(false);
  const isLead = useMay('lead');
  const { release, batch, batches, newBatch } = view;
  if (isEditing)
    return (
      <Stack>
        <EditRelease release={release} onDone={() => setEditing(false)} />
      </Stack>
    );
  return (
    <Stack>
      <Head>
        <StageTitle>{easeWords(ease)}</StageTitle>
        {isLead && (
          <Actions>
            <Link href={`/releases/new?like=${release.id}`}>Same coffee again</Link>
            <Button onPress={() => setEditing(true)}>Correct the facts</Button>
          </Actions>
        )}
      </Head>
      {newBatch && <NewBatchOffer releaseId={release.id} newBatch={newBatch} />}
      <ContributionChart
        rows={ease.contributions.map(({ label, amount }) => ({ label, amount }))}
        from={0}
        total={ease.ease}
        totalLabel="Ease of extraction"
        interval80={ease.interval80}
        span={EASE_SPAN}
        format={twoDigits}
        formatChange={twoDigits}
        ticks={TICKS}
      />
      <p>
        Ease {twoDigits(ease.ease)}, four times in five between {twoDigits(ease.interval80[0])} and{' '}
        {twoDigits(ease.interval80[1])}. 0 is a medium washed ordinary coffee; one unit is about one
        roast step. All of this is a rule of thumb: the band is honest only as far as the trade’s
        rules are.
      </p>
      <RoastNote batch={batch} hasBeanMap={hasBeanMap} />
      {disputesOf(view).map((words) => (
        <Notice key={words}>{words}</Notice>
      ))}
      <section>
        <SectionTitle>Most useful facts to add</SectionTitle>
        {ease.missing.length === 0 ? (
          <p>None that this scale knows of.</p>
        ) : (
          <Missing>
            {ease.missing.map(({ label, narrowsBy }) => (
              <li key={label}>
                {label}: the band gets ± {figure(narrowsBy, 2)} narrower
              </li>
            ))}
          </Missing>
        )}
      </section>
      {nearest.length > 0 && (
        <section>
          <SectionTitle>Past releases most like it, and what they ended on</SectionTitle>
          <NearestTable rows={nearest} />
        </section>
      )}
      <BagFacts release={release} />
      <Batches
        components={release.components}
        releaseId={release.id}
        batches={batches}
        onBenchId={view.bench ? batch.id : ''}
        hasColourMeter={view.bench?.setup.links.colourMeter === 'simulated'}
      />
      {view.bench === null && isLead && (
        <p>
          <NextLink href={`/releases/${release.id}/start`}>Propose a first recipe</NextLink>
        </p>
      )}
    </Stack>
  );
}

/** What the bag says beside what the models take. */
function BagFacts({ release }: { release: StoredRelease }) {
  const { contains, suggestedRecipe, story, freeNotes, pricePerKg } = release;
  const facts = [
    [RELEASE.contains.label, contains && `${contains}. ${cardWords('en')('labelling')}`],
    [RELEASE.suggestedRecipe.label, suggestedRecipe],
    [RELEASE.pricePerKg.label, pricePerKg === undefined ? '' : String(pricePerKg)],
    [RELEASE.story.label, story],
    [RELEASE.freeNotes.label, freeNotes],
  ].filter(([, words]) => words !== '');
  if (facts.length === 0) return null;
  return (
    <section>
      <SectionTitle>Also on the bag</SectionTitle>
      <Said>
        {facts.map(([label, words]) => (
          <div key={label}>
            <dt>{label}</dt>
            <dd>{words}</dd>
          </div>
        ))}
      </Said>
    </section>
  );
}

/** From here a density is far enough from the middle to matter, g/L. House heuristic: half a sd. */
const DENSITY_MATTERS_FROM = 15;
/** From here the temperature schools part, on the roast scale. */
const DARK_FROM = 0.5;

/** Where practitioners disagree, said only where it touches this coffee. */
function disputesOf({ release, batch, facts }: ReleaseView): string[] {
  const { components } = release;
  const disputes: string[] = [];
  if (components.some(({ varietyClass }) => varietyClass && varietyClass !== 'ordinary'))
    disputes.push(
      'Practitioners disagree about variety: equally dense coffees can behave as opposites. So it counts for little here, and its band is wide, until your own recipes say otherwise.',
    );
  if (
    components.some(
      ({ densityGPerL }) =>
        densityGPerL !== undefined && Math.abs(densityGPerL - 700) >= DENSITY_MATTERS_FROM,
    )
  )
    disputes.push(
      'Practitioners disagree about density too: most find dense coffee hard to extract, some see no difference between origins of one density. It moves the scale a little.',
    );
  if (batch.roast.source === 'word')
    disputes.push(
      'A roast word means another thing in every house. A reading of the ground coffee would settle it.',
    );
  if ((facts.roastLevel ?? 0) >= DARK_FROM)
    disputes.push(
      'For dark coffee the schools part: some brew at 80-85 °C, some hardly below 90. Choose yours in Start; “between the two” keeps the band wide.',
    );
  return disputes;
}

/** What the scale means at the bench. House heuristic. */
function easeWords({ ease, interval80: [low, high] }: Ease): string {
  if (high - low > TOO_WIDE) return 'Too little is known to say how it will extract';
  if (ease < -1.25) return 'This one will resist: grind fine, give it water and heat';
  if (ease < -0.4) return 'A little hard to extract: finer and longer than medium';
  if (ease <= 0.4) return 'Extracts like a medium washed coffee';
  if (ease <= 1.25) return 'Easy to extract: a little coarser, cooler, shorter';
  return 'Very easy to extract: short and cool, or it turns harsh';
}

/** From here a colour and a word tell two stories. House heuristic: half a roast word. */
const ROASTS_DIFFER_FROM = 0.35;

/** Where the roast level comes from, and what colour and word say of each other. */
function RoastNote({ batch, hasBeanMap }: { batch: BatchView; hasBeanMap: boolean }) {
  const { level, source, colourMinusWord } = batch.roast;
  const notes: string[] = [];
  if (level !== null && colourMinusWord !== null && Math.abs(colourMinusWord) >= ROASTS_DIFFER_FROM)
    notes.push(
      `The bag’s word says ${roastWord(level - colourMinusWord).toLowerCase()}, the ${source} colour says ${roastWord(level).toLowerCase()} (${signed(level)} on the roast scale): the colour counts here.`,
    );
  if (batch.colourBean !== undefined && source !== 'bean' && source !== 'ground' && !hasBeanMap)
    notes.push(
      'The bean colour is kept but not counted yet: give two roast words their bean colours in House.',
    );
  if (batch.roast.source === 'thumb')
    notes.push(
      'Only the crush test says how it was roasted: a weak reading, drawn to the middle. A word or a ground colour would say more.',
    );
  if (notes.length === 0) return null;
  return (
    <>
      {notes.map((note) => (
        <Notice key={note}>{note}</Notice>
      ))}
    </>
  );
}
