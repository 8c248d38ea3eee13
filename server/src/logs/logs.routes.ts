import { object, string } from 'yup';
import type { LogLayout } from '@brine/core/logs/reading';
import { AppError } from '../http/errors.ts';
import { idParams, uuid } from '../http/fields.ts';
import { personOf, route } from '../http/route.ts';
import { listLogs, streamLog, takeLog } from './logs.service.ts';

const logParams = idParams.concat(object({ log: uuid('log') }));

export const logRoutes = [
  route({
    method: 'get',
    path: '/jobs/:id/logs',
    summary: 'The logs of a job',
    access: 'viewer',
    params: idParams,
    handle: async ({ services, params }) => ({ logs: await listLogs(services, params.id) }),
  }),
  route({
    method: 'post',
    path: '/jobs/:id/logs/:log',
    summary: 'Takes in a logger’s file as it is (text/csv), read by the layout given as JSON',
    access: 'technician',
    status: 201,
    params: logParams,
    query: object({
      name: string().required('name: expected the name of the file').max(200),
      layout: string().required('layout: expected how the file is laid out, as JSON').max(12_000),
    }),
    async handle(input) {
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
          body as unknown as AsyncIterable<Uint8Array>,
        ),
      };
    },
  }),
  route({
    method: 'get',
    path: '/jobs/:id/logs/:log',
    summary: 'A log in the open format, as CSV',
    access: 'viewer',
    params: logParams,
    async handle({ services, params }) {
      const { name, stream } = await streamLog(services, params.id, params.log);
      return new Response(stream, {
        headers: {
          'content-type': 'text/csv; charset=utf-8',
          'content-disposition': `attachment; filename="${name.replace(/[^\w. -]+/g, '') || 'log'}.log.csv"`,
          'cache-control': 'private, no-store',
        },
      });
    },
  }),
];

/** A layout over the wire: judged field by field, since a reader trusts it. */
function layoutOf(text: string): LogLayout {
  let layout: Partial<LogLayout>;
  try {
    layout = JSON.parse(text) as Partial<LogLayout>;
  } catch (error) {
    throw new AppError('badInput', 'layout: expected JSON', { cause: error });
  }
  const sound =
    typeof layout.delimiter === 'string' &&
    layout.delimiter.length === 1 &&
    (layout.decimal === '.' || layout.decimal === ',') &&
    Number.isInteger(layout.skipLines) &&
    Array.isArray(layout.columns) &&
    layout.columns.every(
      (c) =>
        typeof c === 'object' &&
        c !== null &&
        typeof c.name === 'string' &&
        (c.role === null || typeof c.role === 'string'),
    ) &&
    typeof layout.order === 'string';
  if (!sound)
    throw new AppError('badInput', 'layout: expected delimiter, decimal, skipLines, columns and order');
  return layout as LogLayout;
}
