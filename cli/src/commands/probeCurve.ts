import { menuSensors, ohmsAt, otherSensors, sensorOf } from '@brine/core/foundation/probes';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { quantities } from '../quantityOptions.ts';

/** The table without `--at`: every 5 K over what refrigeration meets. */
const table = Array.from({ length: 31 }, (_, i) => -50 + 5 * i);

export const probeCurve: Command = {
  name: 'probe curve',
  usage: 'brine probe curve --type ntc10k [--at 0C]',
  summary: 'ohms of a sensor at a temperature, or its table',
  shape: { options: ['type', 'at'], flags: [] },
  run(args) {
    const type = args.options.get('type')?.at(-1);
    const sensor = type === undefined ? undefined : sensorOf(type);
    if (!sensor)
      throw new Refusal(
        `--type: ${type ?? 'nothing given'}: expected one of ${[...menuSensors, ...otherSensors].map((s) => s.id).join(', ')}`,
      );
    const at = quantities(args, 'at', 'temperature');
    const absurd = at.find((t) => t < -200 || t > 300);
    if (absurd !== undefined) throw new Refusal(`--at: ${absurd} °C: expected −200 to 300 °C`);
    return {
      json: {
        type,
        points: (at.length > 0 ? at : table).map((degC) => ({ degC, ohms: ohmsAt(sensor.curve, degC) })),
      },
    };
  },
};
