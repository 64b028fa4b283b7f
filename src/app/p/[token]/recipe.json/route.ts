import { publishedFile } from '../published';

export const dynamic = 'force-dynamic';

interface Context {
  readonly params: Promise<{ token: string }>;
}

/** The published version as a recipe document, byte for byte as it was stored. */
export async function GET(_request: Request, { params }: Context): Promise<Response> {
  return publishedFile(
    params,
    ({ document, number }) =>
      new Response(document, {
        headers: {
          'content-type': 'application/json; charset=utf-8',
          'content-disposition': `attachment; filename="recipe-v${number}.json"`,
        },
      }),
  );
}
