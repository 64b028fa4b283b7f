/** The one place the program learns what time it is; demo data and tests set it. */
export const clock = { now: (): Date => new Date() };
