import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import Ajv2020 from 'ajv/dist/2020.js';
import {
  compressorDuties,
  defrostMethods,
  doorUses,
  factIds,
  factWords,
  goods,
  probePlaces,
  probeRoles,
  readUnit,
  schools,
} from '../src/foundation/unit/index.ts';
import { panelOf, readSheet } from '../src/controllers/definitions/index.ts';
import { isFileProblem } from '../src/foundation/files/index.ts';
import { analyse } from '../src/logs/analysis/index.ts';
import { formatColumns, readWholeLog } from '../src/logs/reading/index.ts';
import { logFindingCodes } from '../src/logs/against/index.ts';
import { typical, typicalIds } from '../testing/circuits.ts';
import { families, family } from '../testing/families.ts';
import { readCircuit, type Circuit } from '../src/wiring/circuit/index.ts';
import { readReadings } from '../src/wiring/readings/index.ts';
import { styleDefinition, styles } from '../testing/panels.ts';
import { applications, readSettingsFile, validateSet } from '../src/foundation/settings/index.ts';

const read = (name: string): unknown =>
  JSON.parse(readFileSync(new URL(`../../docs/formats/${name}`, import.meta.url), 'utf8'));
const Ajv = Ajv2020 as unknown as new (options: object) => {
  compile(schema: unknown): ((data: unknown) => boolean) & { errors?: unknown };
};
const valid = (schema: string) => new Ajv({ strict: false }).compile(read(schema));

describe('published formats', () => {
  test.each([
    ['settings.schema.json', 'examples/freezer.settings.json'],
    ['unit.schema.json', 'examples/fish-store.unit.json'],
    ['unit.schema.json', 'examples/learned/freezer.unit.json'],
    ['settings.schema.json', 'examples/learned/wider.settings.json'],
    ['circuit.schema.json', 'examples/wire/reach-in.circuit.json'],
    ['readings.schema.json', 'examples/wire/reach-in.readings.json'],
    ['box.schema.json', 'examples/learned/freezer.box.json'],
  ])('%s holds for its example', (schema, example) => {
    const check = valid(schema);
    expect([check(read(example)), check.errors]).toEqual([true, null]);
  });

  test.each([...families.keys()])('controller.schema.json holds for the family %s', (id) => {
    const check = valid('controller.schema.json');
    expect([check(family(id)), check.errors]).toEqual([true, null]);
  });

  test.each(styles)('and for the menu style %s of panel.md', (style) => {
    const check = valid('controller.schema.json');
    expect([check(styleDefinition(style)), check.errors]).toEqual([true, null]);
  });

  test.each([
    ['an unknown way to end', { move: { end: 'circle' } }],
    ['a menu without a way in', { enter: [] }],
    ['a time-out without seconds', { timeOut: { keeps: 'edit' } }],
    ['a value taken by nothing', { edit: { take: '' } }],
  ])('the schema refuses %s', (_, change) => {
    const marl = family('marl-4');
    const panel = panelOf(marl)!;
    const menus = [{ ...panel.menus[0]!, ...change }];
    expect(valid('controller.schema.json')({ ...marl, panel: { ...panel, menus } })).toBe(false);
  });

  test.each(typicalIds)('circuit.schema.json holds for the typical circuit %s', (name) => {
    const check = valid('circuit.schema.json');
    expect([check(typical(name)), check.errors]).toEqual([true, null]);
  });

  test.each([
    ['a fuse without amps', { id: 'F', kind: 'fuse', terminals: ['a', 'b'] }],
    [
      'a load with one end',
      { id: 'M', kind: 'load', role: 'other', terminals: ['1'], watts: 1, ratedVolts: 120 },
    ],
    ['a kind nobody knows', { id: 'X', kind: 'valve', terminals: ['a', 'b'] }],
  ])('the circuit schema refuses %s, as the program does', (_, part) => {
    const circuit = { ...(read('examples/wire/reach-in.circuit.json') as object), parts: [part], wires: [] };
    expect(valid('circuit.schema.json')(circuit)).toBe(false);
    expect(isFileProblem(readCircuit(circuit))).toBe(true);
  });

  test('the program reads the same examples', () => {
    const circuit = readCircuit(read('examples/wire/reach-in.circuit.json'));
    expect(isFileProblem(circuit)).toBe(false);
    expect(
      isFileProblem(readReadings(read('examples/wire/reach-in.readings.json'), circuit as Circuit)),
    ).toBe(false);
    const settings = readSettingsFile(read('examples/freezer.settings.json'));
    expect(isFileProblem(settings) ? settings : validateSet(settings.values)).toEqual([]);
    expect(isFileProblem(readUnit(read('examples/fish-store.unit.json')))).toBe(false);
    const sheet = readSheet(
      readFileSync(new URL('../../docs/formats/examples/gault-p.sheet.csv', import.meta.url), 'utf8'),
    );
    expect(isFileProblem(sheet)).toBe(false);
  });

  test('the program reads the log of the examples', () => {
    const log = readWholeLog(
      readFileSync(new URL('../../docs/formats/examples/prove/cooler.log.csv', import.meta.url), 'utf8'),
    );
    if (isFileProblem(log)) throw new Error(log.message);
    // The example is a saw from 2 to 5 °C.
    const found = analyse(log.log);
    expect(Math.abs(found.cutIn! - 5)).toBeLessThan(0.3);
    expect(Math.abs(found.cutOut! - 2)).toBeLessThan(0.3);
  });

  test('every code of a log finding stands in its table', () => {
    const text = readFileSync(new URL('../../docs/formats/log.md', import.meta.url), 'utf8');
    for (const code of logFindingCodes) expect(text).toContain(code);
    for (const column of formatColumns.keys())
      expect([column, text.includes(column.split('_')[0]!)]).toEqual([column, true]);
  });

  test('the lists of the unit schema are those of the program', () => {
    // eslint-disable-next-line @typescript-eslint/no-explicit-any
    const properties = (read('unit.schema.json') as any).properties;
    expect(properties.application.enum).toEqual([...applications]);
    expect(properties.goods.enum).toEqual(Object.keys(goods));
    expect(properties.defrostMethod.enum).toEqual([...defrostMethods]);
    expect(properties.probes.items.enum).toEqual([...probeRoles]);
    expect(properties.doorUse.enum).toEqual([...doorUses]);
    expect(properties.compressor.enum).toEqual([...compressorDuties]);
    expect(properties.probePlace.enum).toEqual([...probePlaces]);
    expect(properties.facts.properties).toEqual(
      Object.fromEntries(
        factIds.map((id) => [id, { type: 'number', minimum: factWords[id].from, maximum: factWords[id].to }]),
      ),
    );
    for (const [id, school] of Object.entries(schools))
      expect(properties.schools.properties[id].enum).toEqual(Object.keys(school.sides));
  });

  test.each([
    [{ application: 'igloo' }, 'application', 'expected one of walkInCooler'],
    [{ goods: 'gold' }, 'goods', 'expected one of frozenFood'],
    [{ probes: 'air' }, 'probes', 'expected a list'],
    [{ ambient: { value: 5, unit: 'K' } }, 'ambient', 'a temperature such as'],
    [{ schools: { differential: 'medium' } }, 'schools.differential', 'tight, wide'],
    [{ facts: { condenserFans: 0 } }, 'facts.condenserFans', 'from 1 to 8'],
    [{ goods: 'own' }, 'product', 'name and a limit'],
    [{ goods: 'own', product: { name: 'Starter' } }, 'product', 'warmest or the coldest'],
    [{ goods: 'own', product: { name: 'Starter', max: 8 } }, 'product.max', 'a temperature such as'],
    [{ heats: 'yes' }, 'heats', 'true or false'],
    [{ probePlace: 'wall' }, 'probePlace', 'air, bottle'],
    [{ facts: { doors: 2 } }, 'facts.doors', 'expected one of'],
    [{ format: 'brine-dial/unit@9' }, 'format', 'newer'],
  ])('a unit with %j is refused at its field', (change, field, part) => {
    const unit = { ...(read('examples/fish-store.unit.json') as object), ...change };
    const problem = readUnit(unit);
    expect(isFileProblem(problem) && problem.field).toBe(field);
    expect(isFileProblem(problem) && problem.message).toContain(part);
    expect(valid('unit.schema.json')(unit)).toBe(false);
  });
});
