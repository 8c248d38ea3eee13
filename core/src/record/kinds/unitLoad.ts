import type { UnitLoad } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const unitLoad: KindOfEntry<UnitLoad> = {
  key: (body) => `unitLoad:${body.id}`,
  about: () => 'Load of the plate',
  says: (body) =>
    body.load
      ? [body.load.role, body.load.watts && `${body.load.watts} W`, body.load.amps && `${body.load.amps} A`]
          .filter(Boolean)
          .join(', ')
      : 'removed',
};
