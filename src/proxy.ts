/**
 * The content-security-policy of every page, with a nonce of its own: only scripts and styles this
 * server sent run, nothing is fetched from elsewhere, and no other site may frame a page.
 */
import { NextResponse, type NextRequest } from 'next/server';

export function proxy(request: NextRequest): NextResponse {
  const nonce = newNonce();
  // Styles get another one: the libraries that add them read it from the page, where scripts' has no place.
  const styleNonce = newNonce();
  const policy = [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'`,
    `style-src-elem 'self' 'nonce-${styleNonce}'`,
    // Drawings place their parts by style attributes in the server's HTML.
    "style-src-attr 'unsafe-inline'",
    "img-src 'self' data:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self' blob:",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
  const headers = new Headers(request.headers);
  headers.set('x-style-nonce', styleNonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

function newNonce(): string {
  return Buffer.from(crypto.getRandomValues(new Uint8Array(16))).toString('base64');
}

/** Pages; what is no page has the server's own policy, which lets nothing run. */
export const config = { matcher: ['/((?!api/|_next/|icon\\.svg$).*)'] };
