'use client';

import { Link } from '@/ui/Link';
import styled from 'styled-components';
import { dayWords } from '@/core/dayWords';
import { figure } from '@/core/figure';
import { Button } from '@/ui/Button';
import { Columns, Page } from '@/ui/Page';
import { readingText, SectionTitle, Small, StageTitle, Table, TableHead } from '@/ui/type';
import type { WeekView } from '@/views/cafeWeek';
import { weekText } from './weekText';

const Figures = styled.dl`
  display: flex;
  flex-wrap: wrap;
  gap: 10px 34px;

  dd {
    ${readingText}
    margin: 0;
    font-size: 26px;
  }
`;

const Steps = styled.ol`
  display: grid;
  gap: 8px;
  padding-left: 22px;
  list-style: decimal;
`;

const Message = styled.pre`
  white-space: pre-wrap;
`;

/** The week of the field on one page, to print or to paste into a message. */
export function WeekPage({ week }: { week: WeekView }) {
  const text = weekText(week);
  return (
    <Page>
      <header>
        <Small className="screen-only">
          <Link href="/field">Field</Link>
        </Small>
        <StageTitle as="h1">
          The field, {dayWords(week.from)} to {dayWords(week.to)}
        </StageTitle>
      </header>
      <Figures>
        <div>
          <dt>Checks</dt>
          <dd>{week.checks}</dd>
        </div>
        <div>
          <dt>Inside</dt>
          <dd>{week.checks === 0 ? '-' : `${figure((100 * week.inside) / week.checks, 0)} %`}</dd>
        </div>
        <div>
          <dt>Off now</dt>
          <dd>{week.drifting.length}</dd>
        </div>
        <div>
          <dt>Answered or explained</dt>
          <dd>{week.answered}</dd>
        </div>
      </Figures>
      <Columns>
        <div>
          <section>
            <SectionTitle as="h2">Three things to do</SectionTitle>
            {week.toDo.length === 0 ? (
              <p>Nothing: every café is inside or answered.</p>
            ) : (
              <Steps>
                {week.toDo.map((one) => (
                  <li key={one}>{one}</li>
                ))}
              </Steps>
            )}
          </section>
          <section>
            <SectionTitle as="h2">Off now</SectionTitle>
            {week.drifting.length === 0 ? (
              <p>Nobody.</p>
            ) : (
              <ul>
                {week.drifting.map(({ key, title }) => (
                  <li key={key}>{title}</li>
                ))}
              </ul>
            )}
          </section>
        </div>
        <div>
          <section>
            <SectionTitle as="h2">Which recipes forgive</SectionTitle>
            <Table>
              <TableHead columns={[{ words: 'Coffee' }, 'Checks', 'Inside', 'Fine though off']} />
              <tbody>
                {week.coffees.map(({ releaseId, name, checks, insidePct, forgivesPct }) => (
                  <tr key={releaseId}>
                    <td className="words">
                      <Link href={`/releases/${releaseId}/field`}>{name}</Link>
                    </td>
                    <td>{checks}</td>
                    <td>{figure(insidePct, 0)} %</td>
                    <td>{forgivesPct === null ? 'too few' : `${figure(forgivesPct, 0)} %`}</td>
                  </tr>
                ))}
              </tbody>
            </Table>
            <Small>
              Fine though off: checks that missed dose, yield or time and tasted fine, of those that
              were tasted, in four weeks.
            </Small>
          </section>
          <section>
            <SectionTitle as="h2">How cafés weigh</SectionTitle>
            <p>
              Dose ± {figure(week.dose.withinSdG, 2)} g within a café, ±{' '}
              {figure(week.dose.betweenSdG, 2)} g between cafés; yield ±{' '}
              {figure(week.yield.withinSdG, 1)} g and ± {figure(week.yield.betweenSdG, 1)} g. A
              recipe is worth what it is worth inside that.
            </p>
          </section>
        </div>
      </Columns>
      <section className="screen-only">
        <SectionTitle as="h2">For a message</SectionTitle>
        <Message>{text}</Message>
        <p>
          <Button onPress={() => void navigator.clipboard.writeText(text)}>Copy</Button>{' '}
          <Button onPress={() => window.print()}>Print</Button>
        </p>
      </section>
    </Page>
  );
}
