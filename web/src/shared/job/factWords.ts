import type { FactId } from '@brine/core/record/entries';
import { toolFactWords } from '@brine/core/judgement/tools';

/** How a fact is asked: its label, its unit, and whether it is a temperature (typed in the degrees shown). */
export const factWords: Readonly<
  Record<
    FactId,
    {
      readonly label: string;
      readonly unit: string;
      readonly from: number;
      readonly to: number;
      readonly temperature?: true;
      readonly tick?: true;
    }
  >
> = {
  condenserKilowatts: { label: 'Cooling', unit: 'kW', from: 0.2, to: 500 },
  condenserCompressors: { label: 'Compressors', unit: '', from: 1, to: 8 },
  condenserFans: { label: 'Fans', unit: '', from: 1, to: 8 },
  condenserFanWatts: { label: 'Each fan', unit: 'W', from: 5, to: 5000 },
  condenserEvaporating: { label: 'Evaporating', unit: '°C', from: -45, to: 15, temperature: true },
  condenserDirty: { label: 'Coil is dirty', unit: '', from: 0, to: 1, tick: true },
  outdoorLow: { label: 'Coldest outdoors', unit: '°C', from: -40, to: 50, temperature: true },
  outdoorHigh: { label: 'Warmest outdoors', unit: '°C', from: -40, to: 50, temperature: true },
  bodyLength: { label: 'Body, length', unit: 'm', from: 0.5, to: 20 },
  bodyWidth: { label: 'Width', unit: 'm', from: 0.5, to: 4 },
  bodyHeight: { label: 'Height', unit: 'm', from: 0.5, to: 4 },
  bodyInsulation: { label: 'Insulation, share of new', unit: '', from: 0.2, to: 2 },
  outdoorNow: { label: 'Outdoors now', unit: '°C', from: -40, to: 60, temperature: true },
  bodyStartsAt: { label: 'Body now', unit: '°C', from: -40, to: 60, temperature: true },
  ...toolFactWords,
};
