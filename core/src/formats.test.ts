import { readFileSync } from 'node:fs';
import { describe, expect, test } from '@jest/globals';
import Ajv2020 from 'ajv/dist/2020.js';
import { defrostMethods, doorUses, goods, probeRoles, readUnit, schools } from './advice/index.ts';
import { panelOf, readSheet } from './controllers/index.ts';
import { isFileProblem } from './files/index.ts';
import { families, family } from './testing/families.ts';
import { styleDefinition, styles } from './testing/panels.ts';
import { applications, readSettingsFile, validateSet } from './settings/index.ts';

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

  test('the program reads the same examples', () => {
    const settings = readSettingsFile(read('examples/freezer.settings.json'));
    expect(isFileProblem(settings) ? settings : validateSet(settings.values)).toEqual([]);
    expect(isFileProblem(readUnit(read('examples/fish-store.unit.json')))).toBe(false);
    const sheet = readSheet(
      readFileSync(new URL('../../docs/formats/examples/gault-p.sheet.csv', import.meta.url), 'utf8'),
    );
    expect(isFileProblem(sheet)).toBe(false);
  });

  test('the lists of the unit schema are those of the program', () => {
    // eslint-disable-next-line @typescript-eslint/no-explicit-any
    const properties = (read('unit.schema.json') as any).properties;
    expect(properties.application.enum).toEqual([...applications]);
    expect(properties.goods.enum).toEqual(Object.keys(goods));
    expect(properties.defrostMethod.enum).toEqual([...defrostMethods]);
    expect(properties.probes.items.enum).toEqual([...probeRoles]);
    expect(properties.doorUse.enum).toEqual([...doorUses]);
    for (const [id, school] of Object.entries(schools))
      expect(properties.schools.properties[id].enum).toEqual(Object.keys(school.sides));
  });

  test.each([
    [{ application: 'igloo' }, 'application', 'expected one of walkInCooler'],
    [{ goods: 'gold' }, 'goods', 'expected one of frozenFood'],
    [{ probes: 'air' }, 'probes', 'expected a list'],
    [{ ambient: { value: 5, unit: 'K' } }, 'ambient', 'a temperature such as'],
    [{ schools: { differential: 'medium' } }, 'schools.differential', 'tight, wide'],
    [{ format: 'brine-dial/unit@9' }, 'format', 'newer'],
  ])('a unit with %j is refused at its field', (change, field, part) => {
    const unit = { ...(read('examples/fish-store.unit.json') as object), ...change };
    const problem = readUnit(unit);
    expect(isFileProblem(problem) && problem.field).toBe(field);
    expect(isFileProblem(problem) && problem.message).toContain(part);
    expect(valid('unit.schema.json')(unit)).toBe(false);
  });
});
