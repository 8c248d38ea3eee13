import { minutes, type Draft } from './planned.ts';

/** A heat meter: its sensors' slope and offset come from their tags, never from a plan. Common practice. */
export function planHeatMeter(): readonly Draft[] {
  return [
    {
      setting: 'log.interval',
      value: minutes(15),
      reason: 'A quarter of an hour shows each firing and each draw without filling the memory.',
    },
  ];
}
