/** Says that a picture shows the newest alone, where it does. */
export function newestWords(shown: number, count: number): string {
  return shown === count
    ? ''
    : `The newest ${shown} of ${count} are shown and counted; filters narrow to others, the export has them all. `;
}
