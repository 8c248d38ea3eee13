import { object, string } from 'yup';
import { idParams, uuid } from '../http/fields.ts';
import { personOf, route } from '../http/route.ts';
import { keepPicture, readPicture } from './pictures.service.ts';

/** Pictures come shrunk from the device; base64 takes a third more. */
const LIMIT = 1536 * 1024;

export const pictureRoutes = [
  route({
    method: 'post',
    path: '/jobs/:id/pictures',
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
    handle: async (input) => ({
      picture: await keepPicture(
        input.services,
        personOf(input),
        input.params.id,
        input.body.id,
        input.body.jpeg,
      ),
    }),
  }),
  route({
    method: 'get',
    path: '/jobs/:id/pictures/:picture',
    summary: 'A picture of a job',
    access: 'viewer',
    params: idParams.concat(object({ picture: uuid('picture') })),
    async handle({ services, params }) {
      const bytes = await readPicture(services, params.id, params.picture);
      return new Response(bytes as BodyInit, {
        headers: {
          'content-type': 'image/jpeg',
          'content-disposition': `attachment; filename="${params.picture}.jpg"`,
          'cache-control': 'private, max-age=31536000, immutable',
        },
      });
    },
  }),
];
