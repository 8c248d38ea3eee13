import { boxFactWords, type BoxFactId } from './boxFacts.ts';
import { toolFactWords, usualToolFacts, type FactWords, type ToolFactId } from './toolFacts.ts';

/** Facts of condensers and of transport units: label, unit, what it may be, and where it begins until somebody knows better (common practice). */
const machineFactWords = {
  condenserKilowatts: { label: 'Cooling', unit: 'kW', from: 0.2, to: 500, usual: 8 },
  condenserCompressors: { label: 'Compressors', unit: '', from: 1, to: 8, usual: 1 },
  condenserFans: { label: 'Fans', unit: '', from: 1, to: 8, usual: 2 },
  condenserFanWatts: { label: 'Each fan', unit: 'W', from: 5, to: 5000, usual: 180 },
  condenserEvaporating: { label: 'Evaporating', unit: '°C', from: -45, to: 15, usual: -8, temperature: true },
  condenserDirty: { label: 'Coil is dirty', unit: '', from: 0, to: 1, usual: 0, tick: true },
  outdoorLow: { label: 'Coldest outdoors', unit: '°C', from: -40, to: 50, usual: 6, temperature: true },
  outdoorHigh: { label: 'Warmest outdoors', unit: '°C', from: -40, to: 50, usual: 16, temperature: true },
  bodyLength: { label: 'Body, length', unit: 'm', from: 0.5, to: 20, usual: 3.2 },
  bodyWidth: { label: 'Width', unit: 'm', from: 0.5, to: 4, usual: 1.7 },
  bodyHeight: { label: 'Height', unit: 'm', from: 0.5, to: 4, usual: 1.8 },
  bodyInsulation: { label: 'Insulation, share of new', unit: '', from: 0.2, to: 2, usual: 1 },
  outdoorNow: { label: 'Outdoors now', unit: '°C', from: -40, to: 60, usual: 16, temperature: true },
  orderedAt: { label: 'Ordered at', unit: '°C', from: -40, to: 40, usual: 2, temperature: true },
  bodyStartsAt: { label: 'Body now', unit: '°C', from: -40, to: 60, usual: 16, temperature: true },
} as const satisfies Readonly<Record<string, FactWords>>;

type MachineFactId = keyof typeof machineFactWords;

/** A fact measured or known on site. */
export type FactId = MachineFactId | BoxFactId | ToolFactId;

/** Every fact with how it is asked. */
export const factWords: Readonly<Record<FactId, FactWords>> = {
  ...machineFactWords,
  ...boxFactWords,
  ...toolFactWords,
};

/** Every fact, condensers and transport units first. */
export const factIds = Object.keys(factWords) as readonly FactId[];

/** Where each fact begins until somebody knows better. */
export const usualFacts: Readonly<Record<FactId, number>> = {
  ...(Object.fromEntries(
    Object.entries({ ...machineFactWords, ...boxFactWords }).map(([id, { usual }]) => [id, usual]),
  ) as Record<MachineFactId | BoxFactId, number>),
  ...usualToolFacts,
};

/** Facts of a unit: everything measured or known on site. */
export type Facts = Readonly<Record<FactId, number>>;

/** True for a fact this version knows. */
export const isFactId = (candidate: string): candidate is FactId => Object.hasOwn(factWords, candidate);
