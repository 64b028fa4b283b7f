/**
 * What a request must be before the program looks at it: to a name this server has, by a method it knows,
 * at an address that can be read, with no more than it takes. Pure, so that every refusal is tested.
 */
export interface Refusal {
  readonly status: number;
  readonly words: string;
}

export interface RawRequest {
  readonly method: string;
  /** Path and question as they came. */
  readonly url: string;
  readonly headers: Readonly<Record<string, string | readonly string[] | undefined>>;
}

const METHODS = ['GET', 'HEAD', 'POST', 'PUT', 'DELETE'];
const MOST_ADDRESS_CHARACTERS = 4_000;
/** More than any part of the program takes; each refuses what is too much for it in its own words. */
const MOST_BODY_BYTES = 20_000_000;

/** Headers only this program's own parts send each other; from outside they are dropped. */
const INNER =
  /^x-(kettlebrand|middleware|nextjs|next|invoke|matched|now)-|^(next-action|forwarded)$/;

/** The refusal of a request, or null when it may come in. */
export function refusalOf(
  { method, url, headers }: RawRequest,
  isKnownHost: (host: string | null) => boolean,
): Refusal | null {
  const one = (name: string) => {
    const value = headers[name];
    return typeof value === 'string' ? value : null;
  };
  if (!METHODS.includes(method))
    return { status: 405, words: `This server takes ${METHODS.join(', ')}.` };
  if (!isKnownHost(one('host')))
    return {
      status: 421,
      words:
        'This server does not go by that name. Open it by its own address; whoever runs it sets that as KETTLEBRAND_ADDRESS.',
    };
  if (url.length > MOST_ADDRESS_CHARACTERS)
    return { status: 414, words: 'That address is too long.' };
  if (!isReadable(url)) return { status: 400, words: 'That address cannot be read.' };
  if (Number(one('content-length') ?? 0) > MOST_BODY_BYTES)
    return { status: 413, words: `That is over ${MOST_BODY_BYTES / 1e6} MB. Send less at once.` };
  const tree = one('next-router-state-tree');
  if (tree !== null && !isTree(tree))
    return { status: 400, words: 'The page this came from cannot be read. Reload it.' };
  return null;
}

/** Its percent signs stand for UTF-8, and no control character is among them. */
function isReadable(url: string): boolean {
  if (!url.startsWith('/') || url.startsWith('//')) return false;
  try {
    return !/[\u0000-\u001f\u007f\\]/.test(decodeURIComponent(url.replaceAll('+', ' ')));
  } catch {
    return false;
  }
}

/** What the framework's own pages send when somebody goes from one to the next. */
function isTree(text: string): boolean {
  try {
    return Array.isArray(JSON.parse(decodeURIComponent(text)));
  } catch {
    return false;
  }
}

export const isInner = (header: string): boolean => INNER.test(header);

/**
 * The network address a request comes from: of its socket, or the last one a proxy of the house's own
 * has written down. What stands before that was written by strangers.
 */
export function addressOfRequest(
  socketAddress: string | undefined,
  forwardedFor: string | undefined,
  hasProxy: boolean,
): string {
  const last = hasProxy ? forwardedFor?.split(',').at(-1)?.trim() : undefined;
  return (last || socketAddress || 'unknown').replace(/^::ffff:/, '').slice(0, 64);
}
