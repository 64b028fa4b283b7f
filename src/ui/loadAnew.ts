/**
 * Opens a page of this program with a full load, where another person may sit at the screen than
 * before: nothing of the house stays in the browser's memory.
 */
export function loadAnew(path: string): void {
  window.location.assign(path);
}
