import { controlConfig, type ControlEvent } from '../src/machines/box/index.ts';
import { isFileProblem } from '../src/foundation/files/index.ts';
import { readLog, replay, type Replayed } from '../src/machines/simulation/index.ts';
import type { SettingValues } from '../src/foundation/settings/index.ts';

const c = (value: number) => ({ value, unit: 'degC' }) as const;
const k = (value: number) => ({ value, unit: 'K' }) as const;
const s = (value: number) => ({ value, unit: 's' }) as const;
export const units = { c, k, s };

/** A cooler that cools from 4 down to 2 °C, everything else quiet. */
export const plainCooler: SettingValues = {
  'regulation.setpoint': c(2),
  'regulation.differential': k(2),
};

/** A replay of a short table: a header line, then rows. Throws where settings or table cannot be read. For tests only. */
export function runOver(settings: SettingValues, table: string, stop?: number): Replayed {
  const config = controlConfig({ ...plainCooler, ...settings });
  if (typeof config === 'string') throw new Error(config);
  const rows = readLog(
    table
      .trim()
      .split(/\s*\n\s*/)
      .join('\n'),
  );
  if (isFileProblem(rows)) throw new Error(`${rows.field}: ${rows.message}`);
  return replay(config, rows, stop);
}

const outputs = new Set(['compressor', 'defrost', 'fan', 'stage2', 'alarm', 'phase']);

/** Events as short lines, `1180 compressor on`; those of outputs and phase, or of the kinds asked for. */
export function lines(run: Replayed, ...kinds: ControlEvent['kind'][]): readonly string[] {
  const wanted = kinds.length > 0 ? new Set<string>(kinds) : outputs;
  return run.events
    .filter((event) => wanted.has(event.kind))
    .map((event) => {
      const value = event.value === true ? 'on' : event.value === false ? 'off' : String(event.value);
      const told = kinds.length > 0 && !outputs.has(event.kind) && event.reason ? ` (${event.reason})` : '';
      return `${event.t} ${event.kind} ${value}${told}`;
    });
}
