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
  for (const part of box.querySelectorAll<HTMLDetailsElement>('[data-helper]'))
    part.addEventListener('toggle', () => void take(part), { once: true });
  // The code on a bag carries its roast date: today's phase is asked for at once.
  if (new URLSearchParams(location.search).has('roasted'))
    box.querySelector<HTMLDetailsElement>('[data-helper="today"]')!.open = true;
}

async function take(part: HTMLDetailsElement): Promise<void> {
  const { help } = await HELPERS[part.dataset.helper!]!();
  help(part.querySelector('form')!, box!);
}
