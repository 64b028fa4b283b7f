import { z } from 'zod';
import { DOCUMENT_SCHEMAS } from '@/formats/recipe/readers';

interface Props {
  readonly params: Promise<{ file: string }>;
}

/** The JSON Schema that recipe documents name, of every version of the format. */
export async function GET(_request: Request, { params }: Props): Promise<Response> {
  const version = /^recipe-document-(\d+)\.json$/.exec((await params).file)?.[1];
  const schema = version === undefined ? undefined : DOCUMENT_SCHEMAS[Number(version)];
  if (!schema)
    return Response.json(
      { faults: [{ field: '', message: 'There is no such schema. Check the address.' }] },
      { status: 404 },
    );
  return Response.json(z.toJSONSchema(schema, { io: 'input', unrepresentable: 'any' }));
}
