import { forgetOfflinePages } from './saveOffline';

/**
 * Opens a page of this program with a full load, where another person may sit at the screen than
 * before: nothing of the house stays in the browser's memory, nor the pages it kept.
 */
export function loadAnew(path: string): void {
  void forgetOfflinePages().then(() => window.location.assign(path));
}
