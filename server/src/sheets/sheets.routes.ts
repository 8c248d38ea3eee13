import { object, string } from 'yup';
import { idParams } from '../http/fields.ts';
import { publicAddress } from '../http/publicAddress.ts';
import { personOf, route } from '../http/route.ts';
import { renderSheet } from './pdf.ts';
import { sheetOf } from './sheets.service.ts';

export const sheetRoutes = [
  route({
    method: 'get',
    path: '/jobs/:id/sheet.pdf',
    summary: 'The leave-behind sheet as a PDF',
    access: 'viewer',
    params: idParams,
    query: object({
      paper: string<'A4' | 'LETTER'>().oneOf(['A4', 'LETTER'], 'paper: expected A4 or LETTER').default('A4'),
      type: string<'small' | 'large'>()
        .oneOf(['small', 'large'], 'type: expected small or large')
        .default('small'),
      unit: string<'degC' | 'degF'>().oneOf(['degC', 'degF'], 'unit: expected degC or degF').optional(),
    }),
    async handle(input) {
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
    },
  }),
];
