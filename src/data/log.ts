/**
 * What the server writes down for whoever runs it: a line of JSON on standard error for each event, with
 * its level. Nobody's name, entry or network address is in it. KETTLEBRAND_LOG chooses the level.
 */
import pino from 'pino';

const LOG_LEVELS = ['silent', 'error', 'warn', 'info', 'debug'] as const;

const asked = process.env.KETTLEBRAND_LOG ?? 'info';

/** What is wrong with KETTLEBRAND_LOG; null when nothing is. */
export const logLevelFault = (LOG_LEVELS as readonly string[]).includes(asked)
  ? null
  : `KETTLEBRAND_LOG ${asked} is not a level. Set it to one of ${LOG_LEVELS.join(', ')}.`;

/** Written at once: what was said before a crash is there. */
export const log = pino(
  {
    level: logLevelFault ? 'info' : asked,
    base: null,
    timestamp: pino.stdTimeFunctions.isoTime,
    formatters: { level: (level) => ({ level }) },
  },
  pino.destination({ fd: 2, sync: true }),
);

/** An address as it may be written down: without its question, and without what stands for a thing or opens a door. */
export function loggedPath(url: string): string {
  const [path = ''] = url.split('?');
  return path.replace(/[^/]{13,}/g, (part) => (/^[a-z-]+(\.[a-z]+)?$/.test(part) ? part : '…'));
}
