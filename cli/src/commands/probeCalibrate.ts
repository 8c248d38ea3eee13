import { calibrate, type ComparedPoint, type Correction } from '@brine/core/judgement/calibration';
import { isFileProblem, parseCsv, type CsvTable } from '@brine/core/foundation/files';
import { baseValue, parseNumber, quantity, type Unit } from '@brine/core/foundation/quantities';
import { Refusal } from '../args.ts';
import type { Command } from '../command.ts';
import { fileRefusal, readText } from '../files.ts';
import { quantityOption } from '../quantityOptions.ts';

export const probeCalibrate: Command = {
  name: 'probe calibrate',
  usage: 'brine probe calibrate POINTS.csv [--existing-offset 1dF]',
  summary: 'offset, or slope and offset, from readings beside a reference',
  shape: { options: ['existing-offset'], flags: [] },
  run(args) {
    const [path] = args.positional;
    if (path === undefined)
      throw new Refusal('probe calibrate: expected a file with reading_degC and reference_degC');
    const table = parseCsv(readText(path), []);
    if (isFileProblem(table)) throw fileRefusal(path, table);
    const points = pointsOf(table, path);
    const result = calibrate(points, quantityOption(args, 'existing-offset', 'temperatureDifference') ?? 0);
    return {
      json: {
        points: points.map((p) => ({ reading_degC: p.reading, reference_degC: p.reference })),
        offsetOnly: printed(result.offsetOnly),
        slopeAndOffset: result.slopeAndOffset && {
          slope: result.slopeAndOffset.slope,
          ...printed(result.slopeAndOffset),
        },
        advised: result.advised,
      },
    };
  },
};

function printed(c: Correction) {
  return {
    offset_K: c.offsetK,
    offset_deltaF: c.offsetDeltaF,
    maxResidual_K: c.maxResidual,
    residuals_K: c.residuals,
    class: c.platinum,
    en12830: c.recorder,
  };
}

function pointsOf(table: CsvTable, path: string): readonly ComparedPoint[] {
  const column = (name: string): [string, Unit] => {
    const unit = (['degc', 'degf'] as const).find((u) => table.columns.includes(`${name}_${u}`));
    if (!unit) throw new Refusal(`${path}: line 1: expected a column ${name}_degC or ${name}_degF`);
    return [`${name}_${unit}`, unit === 'degc' ? 'degC' : 'degF'];
  };
  const [reading, reference] = [column('reading'), column('reference')];
  if (table.rows.length === 0)
    throw new Refusal(`${path}: expected at least one row with a reading and its reference`);
  return table.rows.map((row) => {
    const cell = ([name, unit]: [string, Unit]) => {
      const number = parseNumber(row.cells.get(name) ?? '');
      if (number === null)
        throw new Refusal(
          `${path}: line ${row.line}: ${name}: ${row.cells.get(name) || 'an empty cell'}: expected a number`,
        );
      return baseValue(quantity(number, unit));
    };
    return { reading: cell(reading), reference: cell(reference) };
  });
}
