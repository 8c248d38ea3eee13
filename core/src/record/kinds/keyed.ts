import type { Keyed } from '@brine/contract/entries';
import { named } from './named.ts';
import type { KindOfEntry } from './kind.ts';

export const keyed: KindOfEntry<Keyed> = {
  key: (body) => `keyed:${body.code}`,
  about: (body, names) => `At the cabinet, ${named(body.code, names?.replacement)}`,
  says: (body) =>
    body.state === 'showsElse'
      ? `shows ${body.shown}`
      : body.state === 'keyed'
        ? `keyed ${body.value}`
        : (body.state ?? 'open'),
};
