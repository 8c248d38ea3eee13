import { object, string } from 'yup';
import { idParams, uuid } from '../fields/index.ts';
import { paths } from '../paths/index.ts';
import { contract } from './route.ts';
import { count, said } from './views.ts';

/** Pictures come shrunk from the device; base64 takes a third more. */
const LIMIT = 1536 * 1024;

export const pictureRoutes = {
  keepPicture: contract({
    ...paths.keepPicture,
    summary: 'Keeps a picture of a job, without its metadata',
    access: 'technician',
    status: 201,
    limit: LIMIT,
    params: idParams,
    body: object({
      id: uuid('id'),
      jpeg: string()
        .required('jpeg: expected a JPEG picture in base64')
        .max(LIMIT, 'jpeg: expected at most 1 MB'),
    }),
    answer: object({ picture: object({ id: said(), bytes: count() }).required() }),
  }),
  picture: contract({
    ...paths.picture,
    summary: 'A picture of a job',
    access: 'viewer',
    params: idParams.shape({ picture: uuid('picture') }),
    file: ['image/jpeg'],
  }),
};
