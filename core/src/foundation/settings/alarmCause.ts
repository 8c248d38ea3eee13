/** Causes of an alarm, in the order they are told. */
export const alarmCauses = ['high', 'low', 'door', 'input', 'airProbe', 'coilProbe'] as const;
export type AlarmCause = (typeof alarmCauses)[number];
