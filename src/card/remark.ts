/** A reader's remark to the roastery: words alone, nothing of who says them. */
import { helperWords } from '@/words/helperWords';
import { languageOf, onSend, show, type Helper } from './helper';

export const help: Helper = (form, box) => {
  const language = languageOf(box);
  const say = helperWords(language);
  const field = form.elements.namedItem('words') as HTMLTextAreaElement;
  /** The same press twice is one remark. */
  let id = newId();
  onSend(form, language, async () => {
    const token = box.dataset.document!.split('/')[2]!;
    const version = Number(box.dataset.version);
    const answer = await fetch('/api/commands', {
      method: 'POST',
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({
        id,
        kind: 'leaveRemark',
        input: { token, version, language, words: field.value },
      }),
    }).catch(() => null);
    const said = answer && ((await answer.json().catch(() => null)) as Refused | null);
    if (answer?.ok) {
      id = newId();
      form.reset();
      return show(form, [say('remark.sent')]);
    }
    // Words of a fault are the house's; in another language it is said that it did not go.
    const why = language === 'en' ? (said?.faults ?? []).map(({ message }) => message) : [];
    show(form, why.length > 0 ? why : [say('remark.failed')]);
  });
};

interface Refused {
  readonly faults?: readonly { readonly message: string }[];
}

const newId = () => crypto.randomUUID().replaceAll('-', '');
