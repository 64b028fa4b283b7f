/** `/health`: what a watching program asks; says nothing of the house. */
import type { ServerResponse } from 'node:http';
import { version } from '../../package.json';
import { troubleOfDatabase } from '@/data/trouble';

export function giveHealth(response: ServerResponse): void {
  const trouble = troubleOfDatabase();
  response.statusCode = trouble ? 503 : 200;
  response.setHeader('content-type', 'application/json; charset=utf-8');
  response.setHeader('cache-control', 'no-store');
  response.end(
    JSON.stringify({
      status: trouble ? 'trouble' : 'ok',
      database: trouble ?? 'ok',
      version,
      upS: Math.floor(process.uptime()),
    }),
  );
}
