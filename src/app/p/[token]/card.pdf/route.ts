import { database } from '@/data/database';
import { findHouse } from '@/data/house';
import { cardPdf } from '@/formats/cardPdf';
import { readDocument } from '@/formats/recipe/readers';
import { publishedFile } from '../published';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ token: string }>;
}

/** The published card on one page of paper, with a code that leads back to its page. */
export async function GET(request: Request, { params }: Context): Promise<Response> {
  return publishedFile(params, async (version, token) => {
    const { body } = readDocument(version.document);
    const address = `${publicOrigin(request)}/p/${token}`;
    return new Response(await cardPdf(body, address), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="card-v${version.number}.pdf"`,
      },
    });
  });
}

/** The address the house goes by in public, else the one this request came to. */
function publicOrigin(request: Request): string {
  const own = findHouse(database())?.publicAddress;
  if (own) return own.replace(/\/$/, '');
  const host = request.headers.get('host') ?? 'localhost';
  const scheme = request.headers.get('x-forwarded-proto') === 'https' ? 'https' : 'http';
  return `${scheme}://${host}`;
}
