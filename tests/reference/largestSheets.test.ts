/** What somebody may enter without an account is not refused for its size: every length full, in signs of four bytes. */
import { commands } from '@/app/commands';
import { TEXT_LIMITS } from '@/core/limits';

const full = (limit: keyof typeof TEXT_LIMITS) => '𠀀'.repeat(TEXT_LIMITS[limit]);

it.each([
  ['tasteBlind', { notesFound: Array(24).fill(full('note')), remark: full('remark') }],
  [
    'sendChecks',
    { checks: Array(12).fill({ check: { remark: full('words') } }), help: full('words') },
  ],
  ['leaveRemark', { words: full('words') }],
])('%s, filled to the end, is no larger than it may be', (kind, input) => {
  // Beside its texts a sheet holds figures, ids and names of fields.
  const FIGURES_BYTES = 2_000;
  expect(Buffer.byteLength(JSON.stringify(input)) + FIGURES_BYTES).toBeLessThanOrEqual(
    commands.get(kind)!.maxBytes,
  );
});
