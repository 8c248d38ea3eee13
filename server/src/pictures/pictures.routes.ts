import { api } from '@brine/contract/routes';
import { personOf, serve } from '../http/route.ts';
import { keepPicture, readPicture } from './pictures.service.ts';

export const pictureRoutes = [
  serve(api.keepPicture, async (input) => ({
    picture: await keepPicture(
      input.services,
      personOf(input),
      input.params.id,
      input.body.id,
      input.body.jpeg,
    ),
  })),
  serve(api.picture, async ({ services, params }) => {
    const bytes = await readPicture(services, params.id, params.picture);
    return new Response(bytes as BodyInit, {
      headers: {
        'content-type': 'image/jpeg',
        'content-disposition': `attachment; filename="${params.picture}.jpg"`,
        'cache-control': 'private, max-age=31536000, immutable',
      },
    });
  }),
];
