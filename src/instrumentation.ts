/** A page that broke is written down with the id of its request and the digest its reader was shown. */
import type { Instrumentation } from 'next';

export const onRequestError: Instrumentation.onRequestError = async (error, request, context) => {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { log, loggedPath } = await import('./data/log');
  const { digest } = Object(error) as { digest?: string };
  log.error(
    {
      requestId: request.headers['x-kettlebrand-request'],
      path: loggedPath(request.path),
      route: context.routePath,
      digest,
      err: error,
    },
    'a page broke',
  );
};
