import { isFileProblem } from '@brine/core/foundation/files';
import { readVary, sweep as run } from '@brine/core/machines/simulation';
import { Refusal, required } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readJson } from '../files.ts';

export const sweep: Command = {
  name: 'sweep',
  usage: 'brine sweep SCENARIO.json --vary ID=a..b/step',
  summary: 'a scenario once for each value of a setting, and the advised one with the reason',
  shape: { options: ['vary'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined) throw new Refusal('sweep: expected a file *.scenario.json');
    const vary = readVary(required(args, 'vary'));
    if (typeof vary === 'string') throw new Refusal(`--vary: ${vary}`);
    const data = readJson(path);
    if (typeof data !== 'object' || data === null) throw new Refusal(`${path}: expected an object`);
    const swept = run(data as Record<string, unknown>, vary)!;
    if (isFileProblem(swept)) throw fileRefusal(path, swept);
    return { json: swept };
  },
};
