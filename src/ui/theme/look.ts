'use client';

import { useSyncExternalStore } from 'react';

/** How a browser shows the house: light or dark, roomy or dense. Kept as cookies, so that the server draws it so at once. */
export const THEME_LABELS = { system: 'as the system', light: 'light', dark: 'dark' } as const;
export type Theme = keyof typeof THEME_LABELS;
export const DENSITY_LABELS = { roomy: 'roomy', dense: 'dense' } as const;
export type Density = keyof typeof DENSITY_LABELS;

const YEAR_S = 365 * 24 * 3600;
const watchers = new Set<() => void>();

/** The attribute on the page and the cookie of one choice; the usual one is neither. */
function choose(name: 'theme' | 'density', value: string, usual: string): void {
  const { dataset } = document.documentElement;
  if (value === usual) delete dataset[name];
  else dataset[name] = value;
  document.cookie = `${name}=${value}; path=/; max-age=${value === usual ? 0 : YEAR_S}; samesite=lax`;
  for (const watcher of watchers) watcher();
}

export const setTheme = (theme: Theme): void => choose('theme', theme, 'system');
export const setDensity = (density: Density): void => choose('density', density, 'roomy');

export function themeNow(): Theme {
  const { theme } = document.documentElement.dataset;
  return theme === 'light' || theme === 'dark' ? theme : 'system';
}

function watch(watcher: () => void): () => void {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
}

export const useTheme = (): Theme => useSyncExternalStore(watch, themeNow, () => 'system');

export function useDensity(): Density {
  return useSyncExternalStore(
    watch,
    () => (document.documentElement.dataset.density === 'dense' ? 'dense' : 'roomy'),
    () => 'roomy',
  );
}
