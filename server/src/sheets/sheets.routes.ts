import { api } from '@brine/contract/routes';
import { publicAddress } from '../http/publicAddress.ts';
import { personOf, serve } from '../http/route.ts';
import { sheetOf } from './sheets.service.ts';

export const sheetRoutes = [
  serve(api.sheet, async (input) => {
    const { pdf, name } = await sheetOf(input.services, personOf(input), input.params.id, {
      for: input.query.for,
      paper: input.query.paper,
      type: input.query.type,
      reader: input.query.unit ?? null,
      address: publicAddress(input.context, input.services.config),
    });
    return new Response(new Uint8Array(pdf), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="${name}"`,
        'cache-control': 'no-store',
      },
    });
  }),
];
