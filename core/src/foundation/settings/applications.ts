import type { SoundRange, SettingEntry } from './define.ts';

/** Kinds of refrigerated unit. Ranges of the dictionary and the planner speak of these; the simulator has a box for each. */
export const applications = [
  'walkInCooler',
  'walkInFreezer',
  'reachInRefrigerator',
  'reachInFreezer',
  'merchandiser',
  'iceCreamCabinet',
  'cellar',
  'chilledWaterTank',
  'vehicleFridge',
  'pharmacyRefrigerator',
  'hotCupboard',
  'transportUnit',
  'condenserFans',
  'heatMeter',
] as const;

export type Application = (typeof applications)[number];

export const applicationNames: Readonly<Record<Application, string>> = {
  walkInCooler: 'Walk-in cooler',
  walkInFreezer: 'Walk-in freezer',
  reachInRefrigerator: 'Reach-in refrigerator',
  reachInFreezer: 'Reach-in freezer',
  merchandiser: 'Merchandiser',
  iceCreamCabinet: 'Ice cream cabinet',
  cellar: 'Cellar',
  chilledWaterTank: 'Chilled water tank',
  vehicleFridge: '12 V vehicle fridge',
  pharmacyRefrigerator: 'Pharmacy refrigerator',
  hotCupboard: 'Hot cupboard',
  transportUnit: 'Transport unit',
  condenserFans: 'Condenser fans',
  heatMeter: 'Heat meter',
};

/** Kinds for which the usual ranges of another hold where they have none of their own: the machine is alike, the temperature is not. */
const alike: Readonly<Partial<Record<Application, Application>>> = {
  merchandiser: 'reachInRefrigerator',
  iceCreamCabinet: 'reachInFreezer',
  cellar: 'walkInCooler',
  vehicleFridge: 'reachInRefrigerator',
  pharmacyRefrigerator: 'reachInRefrigerator',
  condenserFans: 'walkInCooler',
};

/** True for an application this version knows. */
export function isApplication(candidate: unknown): candidate is Application {
  return applications.includes(candidate as Application);
}

/** True for units that hold goods below freezing: box air cannot melt their frost. */
export function isFreezer(application: Application): boolean {
  return (
    application === 'walkInFreezer' || application === 'reachInFreezer' || application === 'iceCreamCabinet'
  );
}

/** True for units that keep warm: their first stage heats. */
export function isHeated(application: Application): boolean {
  return application === 'hotCupboard';
}

/** The range thought sound for a kind of unit: its own, else that of the kind it is like; null where nothing is usual. */
export function soundRange(entry: SettingEntry, application: Application): SoundRange | null {
  const like = alike[application];
  return entry.sound?.[application] ?? (like && entry.sound?.[like]) ?? null;
}

/** Machines without a box of their own: nothing is kept in them. */
export type Machine = 'condenserFans' | 'heatMeter';
export function isMachine(application: Application): application is Machine {
  return application === 'condenserFans' || application === 'heatMeter';
}
