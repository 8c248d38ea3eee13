import type { ParameterId } from '../../machines/identification/index.ts';

/** What a technician knows a part of a learned box by, up to the share of the usual: “the machine gives … 70 % of the usual”. In the order of telling; parts that nobody could look at have none. */
export const partWords: Readonly<Partial<Record<ParameterId, string>>> = {
  capacity: 'the machine gives',
  wallLoss: 'the walls let through',
  coilToAir: 'the coil takes up',
  doorUse: 'the door lets in',
  heater: 'the defrost heater does',
};
