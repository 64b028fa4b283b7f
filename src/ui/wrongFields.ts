/** The fields of a form that were found wrong, as they stand on the page. */

export interface WrongField {
  readonly id: string;
  readonly label: string;
}

/** A date is one field of several parts. */
const WRONG =
  'input[aria-invalid=true], select[aria-invalid=true], textarea[aria-invalid=true], [role=group][data-invalid=true]';

/** In the order of the page; each has an id from then on. */
export function wrongFieldsOf(form: Element, prefix: string): WrongField[] {
  return [...form.querySelectorAll<HTMLElement>(WRONG)].map((field, i) => {
    field.id ||= `${prefix}-wrong-${i}`;
    return { id: field.id, label: labelOf(field) };
  });
}

function labelOf(field: HTMLElement): string {
  const label =
    field instanceof HTMLInputElement ||
    field instanceof HTMLSelectElement ||
    field instanceof HTMLTextAreaElement
      ? field.labels?.[0]
      : document.getElementById(field.getAttribute('aria-labelledby')?.split(' ')[0] ?? '');
  return label?.textContent?.trim() ?? 'A field';
}

export function focusFirst({ id }: WrongField): void {
  const field = document.getElementById(id);
  const part = field?.querySelector<HTMLElement>('[role=spinbutton]') ?? field;
  part?.focus();
}
