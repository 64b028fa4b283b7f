'use client';

import dynamic from 'next/dynamic';
import { Link } from '@/ui/Link';
import styled from 'styled-components';
import { figure } from '@/core/figure';
import { dialWords, type Notation } from '@/core/grinder/notation';
import type { RestSpan } from '@/core/rest/rest';
import type { Learnt } from '@/core/rest/likingByRest';
import { InView, CHART_HEIGHT_PX } from '@/ui/charts/InView';
import { Notice, SectionTitle, Small, StageTitle, Table, TableHead, TableScroll } from '@/ui/type';
import { Unfold } from '@/ui/Unfold';
import type { BatchesBeside } from '@/views/batchesBeside';
import type { AgeingView, RestView } from '@/views/rest';
import { Bags } from './Bags';
import { Beside } from './Beside';
import type { Asking } from './AskRecheck';
import { CalendarAddress } from './CalendarAddress';
import { Checks } from './Checks';
import { SpanForm } from './SpanForm';
import { likelyWords, stepWords, todayWords } from './todayWords';

const AgeingChart = dynamic(() => import('./AgeingChart').then((all) => all.AgeingChart), {
  ssr: false,
});

const Stack = styled.div`
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 16px;
`;

const Box = styled.section`
  display: grid;
  gap: 6px;
`;

export interface RestStageProps {
  readonly releaseId: string;
  readonly roastDate: string;
  readonly rest: RestView;
  /** How the grinder on the bench writes its dial. */
  readonly notation: Notation;
  readonly batchId: string;
  readonly rowVersion: number;
  readonly span: RestSpan;
  readonly isOwnSpan: boolean;
  readonly calendarAddress: string | null;
  /** Null before there is a recipe on the bench. */
  readonly beside: BatchesBeside | null;
  /** What cafés found of its batches; empty where none is off. */
  readonly found: readonly FoundOfBatch[];
  /** Newest roast first. */
  readonly batches: readonly { readonly id: string; readonly roastDate: string }[];
  /** A check that what led here asks for. */
  readonly asking: Asking | null;
}

export interface FoundOfBatch {
  readonly title: string;
  /** What somebody noted of it. */
  readonly note: string;
}

/** When is it true? How this batch ages, when it is checked, and when it tastes best. */
export function RestStage(props: RestStageProps) {
  const { releaseId, roastDate, rest, notation, batchId, beside } = props;
  return (
    <Stack>
      <StageTitle>When is it true?</StageTitle>
      {rest.ageing ? (
        <Ageing ageing={rest.ageing} notation={notation} />
      ) : (
        <p>
          No sound shot of this batch yet: how it ages shows from its second day on.{' '}
          <Link href={`/releases/${releaseId}/pull`}>Pull one</Link>.
        </p>
      )}
      <SpanForm
        releaseId={releaseId}
        rowVersion={props.rowVersion}
        span={props.span}
        isOwn={props.isOwnSpan}
        key={props.rowVersion}
      />
      <Found found={props.found} releaseId={releaseId} />
      <Checks
        rest={rest}
        roastDate={roastDate}
        releaseId={releaseId}
        batchId={batchId}
        batches={props.batches}
        asking={props.asking}
      />
      <Bags batchId={batchId} bags={rest.bags} />
      {rest.ageing && <Phases ageing={rest.ageing} />}
      {beside && <Beside beside={beside} notation={notation} />}
      <Tasted tasted={rest.tasted} />
      <CalendarAddress address={props.calendarAddress} />
    </Stack>
  );
}

/** A batch that cafés found off asks for a look at a bag of it. */
function Found({ found, releaseId }: { found: readonly FoundOfBatch[]; releaseId: string }) {
  if (found.length === 0) return null;
  return (
    <Box aria-label="What cafés found">
      <SectionTitle>What cafés found</SectionTitle>
      {found.map(({ title, note }) => (
        <p key={title}>
          {title}. {note} <Link href={`/releases/${releaseId}/field`}>Field</Link>
        </p>
      ))}
      <Small>
        Pull a bag of that batch and of the one before on one day: what is the batch shows there
        too.
      </Small>
    </Box>
  );
}

function Ageing({ ageing, notation }: { ageing: AgeingView; notation: Notation }) {
  const { dial, shots, curve, perWeek, isOwn, batches } = ageing;
  const dialSaid = dialWords(notation, dial);
  return (
    <Box aria-label="How this batch ages">
      <Notice role="status" $kind="good">
        {todayWords(ageing)}
      </Notice>
      <SectionTitle>How this batch ages, at dial {dialSaid}</SectionTitle>
      <InView
        heightPx={CHART_HEIGHT_PX}
        label="Seconds from the pump at one dial over rest days; the table below says the same"
      >
        {() => <AgeingChart ageing={ageing} />}
      </InView>
      <p>
        A week from now: {stepWords(perWeek.steps)} (likely {likelyWords(perWeek.interval80)}, 8 in
        10).{' '}
        {isOwn
          ? 'Mostly from this batch’s own shots.'
          : `Mostly from ${batches === 0 ? 'the rule of thumb' : `${batches} batches of this house`}: this batch has too few ages yet.`}
      </p>
      <Unfold label="As a table">
        {() => (
          <TableScroll aria-label="Seconds by rest day at one dial">
            <Table>
              <TableHead columns={['Rest day', 'Expected, s', 'Likely (8 in 10)', 'Pulled, s']} />
              <tbody>
                {curve.map(({ restDays, timeS, interval80: [low, high] }) => (
                  <tr key={restDays}>
                    <td>{restDays}</td>
                    <td>{figure(timeS, 1)}</td>
                    <td>
                      {figure(low, 1)}-{figure(high, 1)}
                    </td>
                    <td>
                      {shots
                        .filter((shot) => shot.restDays === restDays)
                        .map((shot) => figure(shot.timeS, 1))
                        .join(', ')}
                    </td>
                  </tr>
                ))}
              </tbody>
            </Table>
          </TableScroll>
        )}
      </Unfold>
      <Small>
        Sound shots alone, brought to this dial, dose and yield; seconds from the pump. The form of
        the curve is a rule of thumb, its steepness is learnt.
      </Small>
    </Box>
  );
}

/** The card's span, and what the grind should do in each part of it. */
function Phases({ ageing: { phases, lastDay } }: { ageing: AgeingView }) {
  return (
    <Box aria-label="By rest phase">
      <SectionTitle>Over the recipe’s rest span</SectionTitle>
      <TableScroll aria-label="Grind by rest phase">
        <Table>
          <TableHead
            columns={[{ words: 'Days' }, { words: `Against day ${lastDay}` }, 'Likely (8 in 10)']}
          />
          <tbody>
            {phases.map(({ from, to, steps, interval80 }) => (
              <tr key={from}>
                <td className="words">
                  day {figure(from, 0)}-{figure(to, 0)}
                </td>
                <td className="words">{stepWords(steps)}</td>
                <td>{likelyWords(interval80)}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <Small>
        {phases.length === 1
          ? 'One setting for the middle of the span serves all of it.'
          : `${phases.length === 2 ? 'Two' : 'Three'} phases, each as long in ageing; a setting is for the middle of its phase. Simulated on a medium roast from day 6 to 35: of café shots .70 stay inside 2.5 s with one phase, .80 with two, .81 with three.`}
      </Small>
    </Box>
  );
}

function Tasted({ tasted: { days, best, batches } }: { tasted: RestView['tasted'] }) {
  return (
    <Box aria-label="When it tastes best">
      <SectionTitle>When it tastes best</SectionTitle>
      {days.length === 0 ? (
        <p>No straight cup with a liking yet: the days are the school’s.</p>
      ) : (
        <TableScroll aria-label="Liking by rest day">
          <Table>
            <TableHead columns={['Rest day', 'Cups', 'Liking']} />
            <tbody>
              {days.map(({ restDays, cups, liking }) => (
                <tr key={restDays}>
                  <td>{restDays}</td>
                  <td>{cups}</td>
                  <td>{figure(liking, 1)}</td>
                </tr>
              ))}
            </tbody>
          </Table>
        </TableScroll>
      )}
      <p>
        Best from {learntWords(best.from)}; best to {learntWords(best.to)}.{' '}
        {best.from.differs || best.to.differs
          ? 'Where the band leaves the school’s day out, the card may say so.'
          : 'No reason yet to differ from the school.'}
      </p>
      <Small>
        {batches > 0 &&
          `From cups of ${batches === 1 ? 'one batch' : `${batches} batches`} of this release. `}
        It begins at the house’s rest school. Days are learnt slowly: more days tell more than more
        cups of one.
      </Small>
    </Box>
  );
}

function learntWords({ mean, interval80: [low, high], school }: Learnt): string {
  return `day ${figure(mean, 0)} (likely ${low}-${high}, the school says ${school})`;
}
