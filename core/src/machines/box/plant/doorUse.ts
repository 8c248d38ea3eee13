/** How a door is used, in the words of a unit's description (and never opened): how often against the kind's normal day. */
export const useFactors = { shut: 0, seldom: 0.5, normal: 1, busy: 1.6 } as const;
export type DoorUse = keyof typeof useFactors;

/** Business hours, in which doors are opened, seconds of the day. */
export const OPENS = 7 * 3600;
export const CLOSES = 19 * 3600;
/** Deliveries: in these hours a door is opened twice as often. */
export const deliveryHours: readonly number[] = [8, 16];

/** Hours of openings that a day comes to: twelve, and two of them count twice. */
export const openHoursPerDay = (CLOSES - OPENS) / 3600 + deliveryHours.length;
