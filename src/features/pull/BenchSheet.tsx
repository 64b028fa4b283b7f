import styled from 'styled-components';
import { SectionTitle, Table, TableHead } from '@/ui/type';

const Lines = styled(Table)`
  td {
    height: 34px;
    border: 1px solid var(--rule-strong);
  }
`;

/** As many as a dial-in rarely goes beyond. */
const LINES = 8;

/** On paper alone: where shots are written when no screen is at hand, to be entered afterwards. */
export function BenchSheet({ nextNumber }: { nextNumber: number }) {
  return (
    <section className="print-only" aria-label="Bench sheet">
      <SectionTitle>Bench sheet. Day and hand: ______________________</SectionTitle>
      <Lines>
        <TableHead
          columns={[
            'Shot',
            'Dial',
            'Purged',
            'Dose, g',
            'Yield, g',
            'Time, s',
            'First drip, s',
            { words: 'What was seen, how it tasted' },
          ]}
        />
        <tbody>
          {Array.from({ length: LINES }, (_, i) => (
            <tr key={i}>
              <td>{nextNumber + i}</td>
              {Array.from({ length: 6 }, (_, cell) => (
                <td key={cell} />
              ))}
              <td style={{ width: '36%' }} />
            </tr>
          ))}
        </tbody>
      </Lines>
    </section>
  );
}
