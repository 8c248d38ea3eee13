import { isFileProblem } from '@brine/core/foundation/files';
import { quantity } from '@brine/core/foundation/quantities';
import { predictUnit } from '@brine/core/judgement/learning';
import { predictedIds, readBox } from '@brine/core/machines/identification';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readJson } from '../files.ts';
import { numberOption, quantityOption } from '../quantityOptions.ts';
import { settingsAt, unitAt } from '../unitFiles.ts';

const MOST_DAYS = 14;

export const predict: Command = {
  name: 'predict',
  usage: 'brine predict --box BOX.json --unit UNIT.json --settings SETTINGS.json [--ambient 30C] [--days 3]',
  summary:
    'what a unit’s days under other settings will come to, by its own box, each figure with its 80 % interval',
  shape: { options: ['box', 'unit', 'settings', 'ambient', 'days'], flags: [] },
  run(args) {
    const path = args.options.get('box')?.at(-1);
    if (path === undefined)
      throw new Refusal('predict: --box: expected a file *.box.json from brine identify');
    const box = readBox(readJson(path));
    if (isFileProblem(box)) throw fileRefusal(path, box);
    const ambient = quantityOption(args, 'ambient', 'temperature');
    if (ambient !== undefined && (ambient < -40 || ambient > 60))
      throw new Refusal('--ambient: expected a temperature between −40 and 60 °C');
    const days = numberOption(args, 'days') ?? 3;
    if (!(days >= 1 && days <= MOST_DAYS)) throw new Refusal(`--days: ${days}: expected 1 to ${MOST_DAYS}`);
    const figures = predictUnit({
      box,
      unit: unitAt('predict', args),
      values: settingsAt('predict', args),
      ...(ambient !== undefined && { ambient: quantity(ambient, 'degC') }),
      days,
    });
    if (typeof figures === 'string') throw new Refusal(`predict: ${figures}`);
    // What no log can confirm is not printed: the format names what it holds.
    return { json: { figures: Object.fromEntries(predictedIds.map((id) => [id, figures![id]])) } };
  },
};
