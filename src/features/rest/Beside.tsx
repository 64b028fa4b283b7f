'use client';

import { dayWords } from '@/core/dayWords';
import { figure } from '@/core/figure';
import { dialWords, type Notation } from '@/core/grinder/notation';
import type { CarryVerdict } from '@/core/advice/carry';
import { roastWord } from '@/core/vocabulary';
import { SectionTitle, Small, Table, TableHead, TableScroll } from '@/ui/type';
import type { BatchBeside, BatchesBeside } from '@/views/batchesBeside';

const VERDICTS: Readonly<Record<CarryVerdict, string>> = {
  carriesOver: 'carries over',
  oneMore: 'one more shot',
  dialInAnew: 'dial in anew',
};

/** Batches of the release side by side; what differs by more than scatter is marked by a word. */
export function Beside({ beside, notation }: { beside: BatchesBeside; notation: Notation }) {
  const { batches, dial, level } = beside;
  if (batches.length < 2) return null;
  const other = batches.filter(({ isTimeApart, isLikingApart }) => isTimeApart || isLikingApart);
  return (
    <section aria-label="Batch beside batch" style={{ display: 'grid', gap: 6 }}>
      <SectionTitle>Batch beside batch, at dial {dialWords(notation, dial)}</SectionTitle>
      <TableScroll aria-label="Batches of this release">
        <Table>
          <TableHead
            columns={[
              { words: 'Roasted' },
              { words: 'Roast' },
              'Ground colour',
              'Weight loss, %',
              'Last dial',
              'On day 14, s',
              'Liking',
              'Shots',
              { words: 'The recipe before' },
            ]}
          />
          <tbody>
            {batches.map((batch) => (
              <tr key={batch.id}>
                <td className="words">
                  {dayWords(batch.roastDate)} {batch.label && `(${batch.label})`}
                </td>
                <td className="words">
                  {batch.roastLevel === null ? '' : roastWord(batch.roastLevel)}
                </td>
                <td>{batch.colourGround === undefined ? '' : figure(batch.colourGround, 0)}</td>
                <td>{batch.weightLossPct === undefined ? '' : figure(batch.weightLossPct, 1)}</td>
                <td>{batch.dial === null ? '' : dialWords(notation, batch.dial)}</td>
                <td>{timeWords(batch)}</td>
                <td>{likingWords(batch)}</td>
                <td>{batch.shots}</td>
                <td className="words">{batch.verdict ? VERDICTS[batch.verdict] : ''}</td>
              </tr>
            ))}
          </tbody>
        </Table>
      </TableScroll>
      <p>
        {level &&
          `Over its batches this release runs ${figure(level.timeS, 1)} s there (likely ${figure(level.interval80[0], 1)}-${figure(level.interval80[1], 1)}, 8 in 10). `}
        {other.length === 0
          ? 'Nothing differs by more than shots and palates scatter.'
          : 'What is marked “other” differs from the other batches by more than shots and palates scatter.'}
      </p>
      <Small>
        Sound shots brought to one dial, dose, yield and day; seconds from the pump. Weight loss is
        shown and not used. The verdict is that of the first shots on the recipe before.
      </Small>
    </section>
  );
}

function timeWords({ level, isTimeApart }: BatchBeside): string {
  if (!level) return '';
  const [low, high] = level.interval80;
  const words = `${figure(level.timeS, 1)} (${figure(low, 1)}-${figure(high, 1)})`;
  return isTimeApart ? `${words}, other` : words;
}

function likingWords({ liking, isLikingApart }: BatchBeside): string {
  if (!liking) return '';
  const words = `${figure(liking.mean, 1)} (${liking.cups} ${liking.cups === 1 ? 'cup' : 'cups'})`;
  return isLikingApart ? `${words}, other` : words;
}
