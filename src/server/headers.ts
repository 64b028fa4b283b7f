/** Headers of every answer, whatever part of the program gives it; a page's own policy takes the place of this one. */
import { isHttps } from '@/data/address';

const TWO_YEARS_S = 63_072_000;

/** The build's own files: a worker among them loads its parts and asks this server. */
const BUILT = '/_next/static/';
const POLICY = "default-src 'none'; frame-ancestors 'none'";
const POLICY_OF_BUILT = `${POLICY}; script-src 'self'; connect-src 'self'`;

export function commonHeaders(url: string): Readonly<Record<string, string>> {
  return {
    'Content-Security-Policy': url.startsWith(BUILT) ? POLICY_OF_BUILT : POLICY,
    'X-Content-Type-Options': 'nosniff',
    'Referrer-Policy': 'same-origin',
    'X-Frame-Options': 'DENY',
    'Cross-Origin-Opener-Policy': 'same-origin',
    'Cross-Origin-Resource-Policy': 'same-origin',
    'Permissions-Policy': 'camera=(), microphone=(), geolocation=()',
    ...(isHttps() ? { 'Strict-Transport-Security': `max-age=${TWO_YEARS_S}` } : {}),
  };
}
