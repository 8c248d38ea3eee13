import type { Humidity } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const humidity: KindOfEntry<Humidity> = {
  key: (body) => `humidity:${body.readAt}`,
  about: () => 'Humidity read',
  says: (body) =>
    body.percent === null
      ? 'removed'
      : [`${body.percent} %`, ...(body.coil ? [`coil ${body.coil}`] : [])].join(', '),
};
