import { database } from '@/data/database';
import { findPublished } from '@/data/publications';

export const dynamic = 'force-dynamic';

/** The published version as a recipe document, byte for byte as it was stored. */
export async function GET(
  _request: Request,
  { params }: { params: Promise<{ token: string }> },
): Promise<Response> {
  const version = findPublished(database(), (await params).token);
  if (!version)
    return Response.json(
      { faults: [{ field: '', message: 'Nothing is published at this address. Check it.' }] },
      { status: 404 },
    );
  return new Response(version.document, {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': `attachment; filename="recipe-v${version.number}.json"`,
    },
  });
}
