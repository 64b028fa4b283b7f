/**
 * The first script of a card's page: shows its helpers and fetches each when it is opened. Small; the card is whole
 * without it. Built beside the server.
 */
import type { Helper } from './helper';

const HELPERS: Readonly<Record<string, () => Promise<{ readonly help: Helper }>>> = {
  today: () => import('./today'),
  clock: () => import('./clock'),
  shot: () => import('./shot'),
  fit: () => import('./fit'),
  remark: () => import('./remark'),
};

const box = document.querySelector<HTMLElement>('[data-helpers]');
if (box) {
  box.hidden = false;
  for (const part of box.querySelectorAll<HTMLDetailsElement>('[data-helper]')) takeUp(part, box);
  // The code on a bag carries its roast date: today's phase is asked for at once.
  if (new URLSearchParams(location.search).has('roasted'))
    box.querySelector<HTMLDetailsElement>('[data-helper="today"]')!.open = true;
}

/** Fetches a helper when it is opened; nothing of it can be pressed before it is there. */
function takeUp(part: HTMLDetailsElement, all: HTMLElement): void {
  const form = part.querySelector('form')!;
  const hold = (isHeld: boolean) => {
    for (const button of form.querySelectorAll('button')) button.disabled = isHeld;
  };
  hold(true);
  const take = async () => {
    const { help } = await HELPERS[part.dataset.helper!]!();
    hold(false);
    help(form, all);
  };
  part.addEventListener('toggle', () => void take(), { once: true });
}
