import { object, string } from 'yup';
import { idParams } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';

export const sheetRoutes = {
  sheet: contract({
    ...paths.sheet,
    summary: 'A paper of a job as a PDF: the page for the site, or the pages for the file',
    access: 'viewer',
    params: idParams,
    query: object({
      for: string<'site' | 'file'>().oneOf(['site', 'file'], 'for: expected site or file').default('file'),
      paper: string<'A4' | 'LETTER'>().oneOf(['A4', 'LETTER'], 'paper: expected A4 or LETTER').default('A4'),
      type: string<'small' | 'large'>()
        .oneOf(['small', 'large'], 'type: expected small or large')
        .default('small'),
      unit: string<'degC' | 'degF'>().oneOf(['degC', 'degF'], 'unit: expected degC or degF').optional(),
    }),
    file: ['application/pdf'],
  }),
};
