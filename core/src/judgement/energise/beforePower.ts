import type { SettingValues } from '../../foundation/settings/index.ts';
import { controlConfig } from '../../machines/box/index.ts';
import { earliestStarts, startOutputs, type EarliestStart } from '../../machines/starts/index.ts';
import type { Circuit } from '../../wiring/circuit/index.ts';
import { energise, verdictOf, type Energise } from '../../wiring/energise/index.ts';

/** What is asked before the breaker is closed. */
export interface PowerQuestion {
  readonly circuit: Circuit;
  /** Wires that are on, by id. */
  readonly done: readonly string[];
  /** What the control may hold: its factory values until all is keyed in, and what is planned; each by a name. */
  readonly holds: readonly { readonly name: string; readonly values: SettingValues }[];
  /** What is in doubt about the circuit, in sentences. */
  readonly doubts: readonly string[];
  readonly minutes: number;
}

/** An output with its earliest start, and under which of the values that the control may hold. */
export interface MayStart extends EarliestStart {
  readonly under: string;
}

export interface BeforePower extends Energise {
  readonly starts: readonly MayStart[];
}

/** What a half-done wiring is, and what may start under any of the values that the control may hold. Doubts, and a control whose settings are not known, make it not known. */
export function beforePower({ circuit, done, holds, doubts, minutes }: PowerQuestion): BeforePower {
  const said = energise(circuit, new Set(done));
  const starts = holds.flatMap(({ name, values }) => {
    const config = controlConfig(values);
    return typeof config === 'string'
      ? []
      : [earliestStarts(config, minutes).map((start) => ({ ...start, under: name }))];
  });
  const unknown = [
    ...said.unknown,
    ...doubts,
    ...(starts.length === holds.length && holds.length > 0
      ? []
      : [
          'What the control holds is not known, or no machine of ours runs it: what it may start is not known.',
        ]),
  ];
  return {
    ...said,
    unknown,
    verdict: verdictOf(said.dangers, unknown),
    starts: startOutputs.flatMap((output) => {
      const all = starts.flat().filter((start) => start.output === output);
      const earliest = all.toSorted((a, b) => a.earliestSeconds - b.earliestSeconds)[0];
      return earliest ? [earliest] : [];
    }),
  };
}
