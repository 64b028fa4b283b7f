/** Headers of every answer, whatever part of the program gives it; a page's own policy takes the place of this one. */
import { isHttps } from '@/data/address';

const TWO_YEARS_S = 63_072_000;

export function commonHeaders(): Readonly<Record<string, string>> {
  return {
    'Content-Security-Policy': "default-src 'none'; frame-ancestors 'none'",
    'X-Content-Type-Options': 'nosniff',
    'Referrer-Policy': 'same-origin',
    'X-Frame-Options': 'DENY',
    'Cross-Origin-Opener-Policy': 'same-origin',
    'Cross-Origin-Resource-Policy': 'same-origin',
    'Permissions-Policy': 'camera=(), microphone=(), geolocation=()',
    ...(isHttps() ? { 'Strict-Transport-Security': `max-age=${TWO_YEARS_S}` } : {}),
  };
}
