import { api } from '@brine/contract/routes';
import { publicAddress } from '../http/publicAddress.ts';
import { personOf, serve } from '../http/route.ts';
import { renderSheet } from './pdf.ts';
import { sheetOf } from './sheets.service.ts';

export const sheetRoutes = [
  serve(api.sheet, async (input) => {
    const sheet = await sheetOf(input.services, personOf(input), input.params.id, {
      ...(input.query.unit && { reader: input.query.unit }),
      address: publicAddress(input.context, input.services.config),
    });
    const pdf = await renderSheet(sheet, input.query.paper, input.query.type);
    const name = `${sheet.unit} ${sheet.date}`.replace(/[^\w. -]+/g, '').trim();
    return new Response(new Uint8Array(pdf), {
      headers: {
        'content-type': 'application/pdf',
        'content-disposition': `inline; filename="${name || 'sheet'}.pdf"`,
        'cache-control': 'no-store',
      },
    });
  }),
];
