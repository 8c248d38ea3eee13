import type { FactWords } from './toolFacts.ts';

/** The box itself, where somebody measured it: it is asked of every kind that has walls and a door, and nothing must be answered. */
export const boxFactWords = {
  boxVolume: { label: 'Inside', unit: 'm³', from: 0.02, to: 5000, usual: 18 },
  boxWall: { label: 'Insulation', unit: 'mm', from: 10, to: 400, usual: 85 },
  boxGlass: { label: 'Glass', unit: 'm²', from: 0, to: 500, usual: 0 },
  boxDoor: { label: 'Door opening', unit: 'm²', from: 0.02, to: 60, usual: 1.8 },
} as const satisfies Readonly<Record<string, FactWords>>;

export type BoxFactId = keyof typeof boxFactWords;
export const boxFactIds = Object.keys(boxFactWords) as readonly BoxFactId[];
