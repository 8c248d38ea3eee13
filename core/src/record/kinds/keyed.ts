import type { Keyed } from '@brine/contract/entries';
import { named } from './named.ts';
import type { KindOfEntry } from './kind.ts';

export const keyed: KindOfEntry<Keyed> = {
  key: (body) => `keyed:${body.code}`,
  about: (body, names) => `At the cabinet, ${named(body.code, names?.replacement)}`,
  says: ({ state, shown, value, over, atUnit, stood }) => {
    const by = over ? `, over the bus${atUnit ? `, ${atUnit} at the unit` : ''}` : '';
    if (state === 'showsElse') return `shows ${shown}${by}`;
    if (state === 'keyed' && stood) return `stood at ${value}, read${by}`;
    if (state === 'keyed') return over ? `written ${value}${by}` : `keyed ${value}`;
    return state ?? 'open';
  },
};
