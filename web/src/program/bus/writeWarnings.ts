import { settingsOf, type Parameter } from '@brine/core/controllers/definitions';

/** What may happen at the unit the moment values are written: by what they are for, in words, each once. */
export function writeWarnings(parameters: readonly Parameter[]): readonly string[] {
  const ids = parameters.flatMap((parameter) => settingsOf(parameter) as readonly string[]);
  const any = (...rooms: readonly string[]) =>
    ids.some((id) => rooms.some((room) => id.startsWith(`${room}.`)));
  return [
    any('regulation', 'compressor', 'probes', 'setback', 'stage2') &&
      'A compressor may start at once. Keep hands and tools out of fans and belts.',
    any('defrost') && 'A defrost may begin or end: heaters get hot, and water runs.',
    any('fans', 'condenser') && 'Fans may start at once.',
    any('alarms', 'door') && 'An alarm may sound.',
  ].filter((words) => words !== false);
}
