'use client';

import { Link } from '@/ui/Link';
import { useRouter, useSelectedLayoutSegment } from 'next/navigation';
import type { ReactNode } from 'react';
import styled from 'styled-components';
import type { BatchView, ReleaseView } from '@/views/release';
import { NotationProvider } from '@/ui/notation';
import { CONTENT_ID } from '@/ui/Page';
import { RestStrip } from '@/ui/RestStrip';
import { labelText } from '@/ui/type';
import { useKeys } from '@/ui/useKeys';
import type { BatchChoice } from '@/views/lookedAt';
import { BatchSwitch, OF_ONE_BATCH, useLookedAt } from './BatchSwitch';
import { FactsColumn } from './FactsColumn';
import { Bar, BenchSide, RecipeInForce } from './RecipeShown';
import { useSayRelease } from './releaseName';
import { stripMarks } from './stripMarks';
import type { Stage } from './stages';

const Head = styled.section`
  padding: 8px 18px 0;
  background: var(--enamel-raised);
  border-bottom: 1px solid var(--rule-strong);

  @media (max-width: 640px) {
    padding: 6px 10px 0;
  }
`;

const Row = styled.div`
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  justify-content: space-between;
  gap: 0 18px;
  margin-top: 6px;
`;

const Stages = styled.nav`
  display: flex;
  gap: 2px;
  min-width: 0;
  overflow-x: auto;
`;

const StageLink = styled(Link)`
  display: flex;
  align-items: baseline;
  gap: 8px;
  padding: 7px 14px 8px;
  border-bottom: 4px solid transparent;
  text-decoration: none;
  white-space: nowrap;

  .key {
    ${labelText}
    font-size: 13px;
  }

  .verb {
    font-stretch: 108%;
    font-weight: 620;
  }

  .figure {
    ${labelText}
  }

  &[aria-current='page'] {
    border-bottom-color: var(--copper);
  }

  &[data-done='true'] .figure {
    color: var(--verdigris);
    font-weight: 640;
  }

  @media (max-width: 640px) {
    padding: 7px 9px 8px;

    .key,
    .figure {
      display: none;
    }
  }
`;

const Columns = styled.div`
  display: grid;
  grid-template-columns: 186px minmax(0, 1fr) 276px;
  gap: 22px;
  padding: 16px 18px 40px;

  &[data-wide='true'] {
    grid-template-columns: 186px minmax(0, 1fr);
  }

  @media (max-width: 1180px) {
    grid-template-columns: 150px minmax(0, 1fr) 248px;
    gap: 16px;

    &[data-wide='true'] {
      grid-template-columns: 150px minmax(0, 1fr);
    }
  }

  @media (max-width: 1000px) {
    grid-template-columns: minmax(0, 1fr);
    padding: 0 12px 32px;

    &[data-wide='true'] {
      grid-template-columns: minmax(0, 1fr);
    }
  }

  @media print {
    padding-top: 12px;
  }
`;

const Side = styled.aside`
  display: grid;
  gap: 18px;
  align-content: start;

  /* Plate and next move side by side. */
  @media print {
    align-items: start;
    grid-template-columns: 276px minmax(0, 1fr);

    &[data-after] {
      order: 1;
    }
  }

  @media (max-width: 1000px) {
    order: 1;
  }

  /* With wet hands the clock comes first; what to do now is said in the bar above it. */
  @media (max-width: 640px) {
    &[data-after='true'] {
      order: 2;
    }
  }
`;

const Narrow = styled.div`
  display: contents;

  &[data-wide='true'] {
    display: none;
  }

  @media (max-width: 1000px) {
    &[data-wide='true'] {
      display: contents;
    }
  }
`;

const Stage = styled.main.attrs({ id: CONTENT_ID })`
  min-width: 0;

  @media (max-width: 1000px) {
    order: 2;
  }
`;

export function ReleaseFrame({
  view,
  stages,
  choices,
  children,
}: {
  /** What is on the bench, whichever batch a page looks at. */
  view: ReleaseView;
  stages: readonly Stage[];
  choices: readonly BatchChoice[];
  children: ReactNode;
}) {
  const { release, bench } = view;
  const router = useRouter();
  const segment = useSelectedLayoutSegment();
  // A flight is part of tasting.
  const current = segment === 'flights' ? 'taste' : segment;
  useSayRelease(release.name);
  const base = `/releases/${release.id}`;
  const isOfOneBatch = OF_ONE_BATCH.includes(current ?? '');
  const lookedAt = useLookedAt(choices);
  const isElsewhere = isOfOneBatch && lookedAt?.isOnBench === false;
  const batch =
    (isElsewhere && view.batches.find(({ id }) => id === lookedAt.batchId)) || view.batch;
  const { rest, span } = batch;
  // The tabs say what the pages they open say.
  const shown = isElsewhere ? stages.map((stage) => ofOtherBatch(stage, lookedAt, rest)) : stages;
  const isWide = isElsewhere || WITH_OWN_PLATE.includes(current ?? '');
  /** A stage of one batch stays with the batch that is looked at. */
  const addressOf = (path: string) =>
    `${base}/${path}${isElsewhere && OF_ONE_BATCH.includes(path) ? `?${lookedAt.query}` : ''}`;
  useKeys(
    Object.fromEntries(
      stages.map(({ path, verb }, i) => [
        String(i + 1),
        { words: verb, act: () => router.push(addressOf(path)) },
      ]),
    ),
  );
  return (
    <NotationProvider of={bench?.setup.grinder ?? {}}>
      <Head aria-label="Rest and stages">
        <RestStrip
          restDays={rest.restDays}
          state={rest.state}
          span={span}
          marks={stripMarks(batch)}
          isTall
        />
        <Row>
          <Stages aria-label="Stages" className="screen-only">
            {shown.map(({ path, verb, figure, isDone }, i) => (
              <StageLink
                key={path}
                href={addressOf(path)}
                aria-current={path === current ? 'page' : undefined}
                data-done={isDone}
              >
                <span className="key">{i + 1}</span>
                <span className="verb">{verb}</span>
                <span className="figure">{figure}</span>
              </StageLink>
            ))}
          </Stages>
          {isOfOneBatch && (
            <BatchSwitch choices={choices} shown={lookedAt} path={`${base}/${current}`} />
          )}
        </Row>
      </Head>
      <Columns data-wide={isWide}>
        <FactsColumn view={view} batch={batch} isOnBench={!isElsewhere} />
        {bench && <Bar view={view} saysNext={current === 'pull'} isElsewhere={isElsewhere} />}
        <Stage>
          {isWide && bench && <RecipeInForce view={view} isElsewhere={isElsewhere} />}
          {children}
        </Stage>
        <Narrow data-wide={isWide}>
          <Side data-after={current === 'pull'}>
            {bench ? (
              <BenchSide view={view} hasNext={!isWide} />
            ) : (
              <EmptyPlate>No recipe on the bench yet: Start proposes one.</EmptyPlate>
            )}
          </Side>
        </Narrow>
      </Columns>
    </NotationProvider>
  );
}

/** A stage of one batch, as it stands with another batch than the one on the bench. */
function ofOtherBatch(
  stage: Stage,
  { shots }: BatchChoice,
  { restDays }: BatchView['rest'],
): Stage {
  const figures: Partial<Record<Stage['path'], string>> = {
    pull: `${shots} ${shots === 1 ? 'shot' : 'shots'}`,
    taste: '',
    rest: `day ${restDays}`,
  };
  const figure = figures[stage.path];
  return figure === undefined ? stage : { ...stage, figure, isDone: false };
}

/** Stages that set a plate of their own beside their work: the proposal, the card. */
const WITH_OWN_PLATE: readonly string[] = ['start', 'publish'];

const EmptyPlate = styled.p`
  padding: 18px 16px;
  border: 2px dashed var(--rule-strong);
  border-radius: 5px;
  color: var(--ink-soft);
`;
