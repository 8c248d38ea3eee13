import { identify } from '@brine/core/foundation/probes';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { quantities, quantityOption } from '../quantityOptions.ts';

export const probeIdentify: Command = {
  name: 'probe identify',
  usage: 'brine probe identify --ohms 9.0k --at 27C [--ohms … --at …] [--lead 1.4]',
  summary: 'which sensor it is, from ohms at a known temperature',
  shape: { options: ['ohms', 'at', 'lead'], flags: [] },
  run(args) {
    const ohms = quantities(args, 'ohms', 'ohms');
    const at = quantities(args, 'at', 'temperature');
    if (ohms.length === 0 || ohms.length !== at.length)
      throw new Refusal(
        `--ohms and --at: ${ohms.length} and ${at.length} given; expected one --at for each --ohms, such as --ohms 9.0k --at 27C`,
      );
    const odd = ohms.find((n) => !(n > 0));
    if (odd !== undefined) throw new Refusal(`--ohms: ${odd}: expected more than 0`);
    const absurd = at.find((t) => t < -273.15);
    if (absurd !== undefined)
      throw new Refusal(`--at: ${absurd} °C: expected a temperature above absolute zero`);
    const readings = ohms.map((n, i) => ({ ohms: n, celsius: at[i]! }));
    const { verdict, candidates } = identify(readings, undefined, quantityOption(args, 'lead', 'ohms') ?? 0);
    return {
      json: {
        ohms: ohms[0],
        at_degC: at[0],
        ...(readings.length > 1 && { readings: readings.map((r) => ({ ohms: r.ohms, at_degC: r.celsius })) }),
        verdict,
        candidates: candidates.map((c) => ({
          type: c.sensor.id,
          expectedOhms: c.expectedOhms,
          reads_degC: c.readsC,
          error_K: c.errorK,
          odds: Math.round(c.odds * 1e4) / 1e4,
        })),
      },
    };
  },
};
