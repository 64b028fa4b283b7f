'use client';

import type { TryInput } from '@/core/simulator/tryProgramme';
import { ProgrammeEditor, type ProgrammeEditorProps } from './ProgrammeEditor';
import { drawnOf } from './stepText';
import { TriedLines, TryOut, useTryOut } from './TryOut';

export interface WriteProgrammeProps extends Omit<ProgrammeEditorProps, 'over' | 'children'> {
  /** The coffee, basket and recipe it is tried with; their programme is the one being written. */
  readonly tryWith: TryWith;
}

export type TryWith = Omit<TryInput, 'recipe'> & {
  readonly recipe: Omit<TryInput['recipe'], 'programme'>;
};

/** The editor, and what the simulator makes of what stands in it. */
export default function WriteProgramme({ tryWith, ...editor }: WriteProgrammeProps) {
  const tryOut = useTryOut();
  const recipe = { ...tryWith.recipe, programme: drawnOf(editor.text) };
  const input = { ...tryWith, recipe };
  const tried = tryOut.triedOf(input);
  return (
    <ProgrammeEditor
      {...editor}
      over={(outline) => tried && <TriedLines tried={tried} outline={outline} />}
    >
      <TryOut tryOut={tryOut} input={input} />
    </ProgrammeEditor>
  );
}
