/** From what was read of a bag to the texts of the forms. No DOM. */
import { BATCH } from '@/core/entity/batch';
import { COMPONENT } from '@/core/entity/component';
import type { Field, Fields, Row } from '@/core/entity/field';
import { RELEASE } from '@/core/entity/release';
import { valueWords } from '@/core/entity/words';
import type { PacketFact } from '@/core/packet/readBag';
import { textOf } from '@/ui/entryText';
import { EMPTY_COMPONENT, type BatchText, type ReleaseText } from './releaseForm';

const OF_COMPONENT = /^components\.(\d+)\.(\w+)$/;

/** Where a fact belongs: the field, and of a blend the place of its component. */
function placeOf({ field }: PacketFact): { name: string; component: number | null } {
  const blend = OF_COMPONENT.exec(field);
  if (blend) return { name: blend[2]!, component: Number(blend[1]) };
  return { name: field, component: field in COMPONENT ? 0 : null };
}

const FIELDS: Fields = { ...RELEASE, ...BATCH, ...COMPONENT };

/** What a fact is called and what it says, as the person is shown it. */
export function factWords(fact: PacketFact): { label: string; value: string } {
  const { name, component } = placeOf(fact);
  const field: Field = FIELDS[name]!;
  const part = OF_COMPONENT.test(fact.field) ? ` of component ${component! + 1}` : '';
  return { label: `${field.label}${part}`, value: valueWords(field, fact.value) };
}

/** The forms with the facts the person agreed to; what was not understood goes to the notes. */
export function withBag(
  { release, batch }: { release: ReleaseText; batch: BatchText },
  facts: readonly PacketFact[],
  left: string,
): { release: ReleaseText; batch: BatchText } {
  const components = [...release.components];
  const own: Record<string, unknown> = {};
  const ofBatch: Record<string, unknown> = {};
  for (const fact of facts) {
    const { name, component } = placeOf(fact);
    if (component === null) (name in BATCH ? ofBatch : own)[name] = fact.value;
    else {
      while (components.length <= component) components.push({ ...EMPTY_COMPONENT, sharePct: '' });
      components[component] = { ...components[component]!, ...typed(COMPONENT, name, fact.value) };
    }
  }
  const notes = [release.freeNotes, left].filter((part) => part !== '').join('\n');
  return {
    release: {
      ...release,
      ...typedAll(RELEASE, own),
      // Nothing is cut: the form says where it is too long.
      freeNotes: notes,
      components,
    },
    batch: { ...batch, ...typedAll(BATCH, ofBatch) },
  };
}

function typed<F extends Fields>(fields: F, name: string, value: unknown) {
  const one = { [name]: fields[name]! } as unknown as F;
  return textOf(one, { [name]: value } as Partial<Row<F>>);
}

function typedAll(fields: Fields, values: Readonly<Record<string, unknown>>) {
  return Object.assign(
    {},
    ...Object.entries(values).map(([name, value]) => typed(fields, name, value)),
  ) as object;
}
