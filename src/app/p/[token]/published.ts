/** A published version for the files of a public page, or the answer that there is none. */
import { database } from '@/data/database';
import { findPublished, type PublicVersion } from '@/data/publications';

export async function publishedFile(
  params: Promise<{ token: string }>,
  make: (version: PublicVersion, token: string) => Promise<Response> | Response,
): Promise<Response> {
  const { token } = await params;
  const version = findPublished(database(), token);
  if (!version) return refused(404, 'Nothing is published at this address. Check it.');
  if (version.withdrawnAt !== null)
    return refused(410, 'The recipe at this address was withdrawn. Ask the roastery.');
  return make(version, token);
}

function refused(status: number, message: string): Response {
  return Response.json({ faults: [{ field: '', message }] }, { status });
}
