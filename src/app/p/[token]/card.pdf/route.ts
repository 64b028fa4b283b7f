import { database } from '@/data/database';
import { publicAddress } from '@/data/address';
import { cardPdf } from '@/formats/cardPdf';
import { readDocument } from '@/formats/recipe/readers';
import { publishedFile } from '../published';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ token: string }>;
}

/** The published card on one page of paper, with a code that leads back to its page. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  return publishedFile(params, async (version, token) => {
    const { body } = readDocument(version.document);
    const address = `${publicAddress(database())}/p/${token}`;
    return new Response(await cardPdf(body, address), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="card-v${version.number}.pdf"`,
      },
    });
  });
}
