import {
  atEase,
  CannotPlan,
  machineOf,
  planDeed,
  planKeys,
  presentValues,
  type DeedAsk,
  type PlanStep,
  type Wish,
} from '@brine/core/controllers/panel';
import type { ControllerDefinition } from '@brine/core/controllers/definitions';
import { Refusal, required, type Args } from '../args.ts';
import type { Command } from '../command.ts';
import { readController, readSheetFile } from '../files.ts';

export const keys: Command = {
  name: 'keys',
  usage:
    'brine keys --controller FILE (--set CODE=VALUE … | --do DEED [--alarms A,B] [--alarm A]) [--sheet SHEET.csv] [--fitted P1,P2]',
  summary: 'keystrokes that set values or do a direct action, proven on the panel',
  shape: {
    options: ['controller', 'sheet', 'set', 'do', 'fitted', 'alarms', 'alarm'],
    flags: [],
    many: ['set'],
  },
  run(args) {
    const path = required(args, 'controller');
    const definition = readController(path);
    const fitted = args.options.get('fitted')?.flatMap((list) => list.split(','));
    for (const probe of fitted ?? [])
      if (!definition.probes?.some((p) => p.id === probe))
        throw new Refusal(`--fitted: ${path} has no probe ${probe}`);
    const machine = machineOf(definition, (probe) => fitted?.includes(probe) ?? true);
    if (!machine)
      throw new Refusal(`${path}: panel: expected a panel; without one no keystrokes can be planned`);
    const sheet = args.options.get('sheet')?.at(-1);
    return {
      json: {
        steps: planned(path, () => {
          const present = sheet === undefined ? new Map() : presentValues(definition, readSheetFile(sheet));
          const deed = args.options.get('do')?.at(-1);
          return deed === undefined
            ? planKeys(machine, present, wishesOf(args)).steps
            : planDeed(machine, present, deed, askOf(args, definition));
        }),
        proven: true,
      },
    };
  },
};

function wishesOf(args: Args): readonly Wish[] {
  const pairs = args.options.get('set');
  if (!pairs) throw new Refusal('keys: expected --set CODE=VALUE or --do DEED');
  return pairs.map((pair) => {
    const at = pair.indexOf('=');
    if (at <= 0) throw new Refusal(`--set: ${pair}: expected CODE=VALUE`);
    return { code: pair.slice(0, at), value: pair.slice(at + 1) };
  });
}

/** The alarms that stand before a deed, and the one that is meant: codes of the definition. */
function askOf(args: Args, definition: ControllerDefinition): DeedAsk {
  const alarms = (args.options.get('alarms') ?? []).flatMap((list) => list.split(','));
  const alarm = args.options.get('alarm')?.at(-1);
  for (const code of alarms)
    if (!definition.alarmCodes?.some((a) => a.code === code))
      throw new Refusal(`--alarms: ${definition.family} has no alarm ${code}`);
  return { condition: { ...atEase, alarms }, ...(alarm !== undefined && { alarm }) };
}

function planned(path: string, plan: () => readonly PlanStep[]): readonly PlanStep[] {
  try {
    return plan();
  } catch (error) {
    if (error instanceof CannotPlan) throw new Refusal(`${path}: ${error.message}`);
    throw error;
  }
}
