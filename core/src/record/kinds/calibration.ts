import type { Calibration } from '@brine/contract/entries';
import type { KindOfEntry } from './kind.ts';

export const calibration: KindOfEntry<Calibration> = {
  key: (body) => `calibration:${body.id}`,
  about: () => 'Calibration',
  says: (body) =>
    body.record
      ? `${body.record.probe}, ${body.record.code ?? ''} ${body.record.after ?? ''} ${body.record.unit}`
      : 'removed',
};
