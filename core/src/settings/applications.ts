/** Kinds of refrigerated unit. Ranges of the dictionary and the planner speak of these. */
export const applications = [
  'walkInCooler',
  'walkInFreezer',
  'reachInRefrigerator',
  'reachInFreezer',
] as const;

export type Application = (typeof applications)[number];

export const applicationNames: Readonly<Record<Application, string>> = {
  walkInCooler: 'Walk-in cooler',
  walkInFreezer: 'Walk-in freezer',
  reachInRefrigerator: 'Reach-in refrigerator',
  reachInFreezer: 'Reach-in freezer',
};

/** True for an application this version knows. */
export function isApplication(candidate: unknown): candidate is Application {
  return applications.includes(candidate as Application);
}

/** True for units that hold goods below freezing: box air cannot melt their frost. */
export function isFreezer(application: Application): boolean {
  return application === 'walkInFreezer' || application === 'reachInFreezer';
}
