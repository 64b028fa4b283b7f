'use client';

import { TASTE_SIGNS } from '@/core/vocabulary';
import { Chip, ChipRow } from '@/ui/choices';
import { ScaleRow } from '@/ui/ScaleRow';
import { Small } from '@/ui/type';
import { scored, toggled, type CupText, type SCALES } from './cupText';

/** Parts of every cup sheet, at the bench and on a phone. */
interface PartProps {
  readonly text: CupText;
  readonly onChange: (part: Partial<CupText>) => void;
}

export function ScaleOf({
  scale: { name, label, low, high },
  text,
  onChange,
}: PartProps & { scale: (typeof SCALES)[number] }) {
  return (
    <ScaleRow
      label={label}
      low={low}
      high={high}
      from={0}
      to={10}
      value={text.scales[name]}
      onChange={(value) => onChange({ scales: scored(text.scales, name, value) })}
    />
  );
}

export function StrengthRow({ text, onChange }: PartProps) {
  return (
    <ScaleRow
      label="Strength"
      low="weak"
      high="strong"
      from={-2}
      to={2}
      value={text.strength}
      onChange={(strength) => onChange({ strength: strength ?? 0 })}
    />
  );
}

export function SignChips({ text, onChange }: PartProps) {
  return (
    <ChipRow role="group" aria-label="Signs">
      {TASTE_SIGNS.map((sign) => (
        <Chip
          key={sign}
          isSelected={text.signs.includes(sign)}
          onChange={() => onChange({ signs: toggled(text.signs, sign) })}
        >
          {sign}
        </Chip>
      ))}
    </ChipRow>
  );
}

export function PromisedChips({
  promised,
  text,
  onChange,
}: PartProps & { promised: readonly string[] }) {
  if (promised.length === 0) return null;
  return (
    <ChipRow role="group" aria-label="Promised notes found">
      <Small>Promised, found?</Small>
      {promised.map((note) => (
        <Chip
          key={note}
          isSelected={text.notesFound.includes(note)}
          onChange={() => onChange({ notesFound: toggled(text.notesFound, note) })}
        >
          {note}
        </Chip>
      ))}
    </ChipRow>
  );
}
