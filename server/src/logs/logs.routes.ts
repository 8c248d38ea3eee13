import { api } from '@brine/contract/routes';
import { layoutProblem, type LogLayout } from '@brine/core/logs/reading';
import { AppError } from '../http/errors.ts';
import { personOf, serve } from '../http/route.ts';
import { WrittenAnswer } from '../http/written.ts';
import { listLogs, readLogFile, takeLog } from './logs.service.ts';

export const logRoutes = [
  serve(api.logs, async ({ services, params }) => ({ logs: await listLogs(services, params.id) })),
  serve(api.takeLog, async (input) => {
    const { body } = input.context.req.raw;
    if (!body) throw new AppError('badInput', 'The body is empty; expected the file');
    return {
      log: await takeLog(
        input.services,
        personOf(input),
        input.params.id,
        input.params.log,
        input.query.name,
        layoutOf(input.query.layout),
        body,
      ),
    };
  }),
  serve(api.log, async ({ services, params, query }) => {
    const { name, body } = await readLogFile(services, params.id, params.log, query);
    const headers = {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${name.replace(/[^\w. -]+/g, '') || 'log'}.log.csv"`,
      'cache-control': 'private, no-store',
    };
    return typeof body === 'string' ? new WrittenAnswer(body, headers) : new Response(body, { headers });
  }),
];

/** A layout over the wire: judged field by field, since a reader trusts it. */
function layoutOf(text: string): LogLayout {
  let layout: unknown;
  try {
    layout = JSON.parse(text) as unknown;
  } catch (error) {
    throw new AppError('badInput', 'layout: expected JSON', { cause: error });
  }
  const problem = layoutProblem(layout);
  if (problem !== null) throw new AppError('badInput', `layout: ${problem}`);
  return layout as LogLayout;
}
