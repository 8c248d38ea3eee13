import { describe, expect, test } from '@jest/globals';
import { freezerSurvey } from '../../../testing/freezerSurvey.ts';
import { acceptedInOrder } from '../../../testing/entries.ts';
import { families, family } from '../../../testing/families.ts';
import { seeded } from '../../../testing/seeded.ts';
import {
  displayOf,
  readTypedCode,
  scaleOf,
  type CodeValue,
  type ControllerDefinition,
  type Parameter,
} from '../../controllers/definitions/index.ts';
import { machineOf, panelAtRest } from '../../controllers/panel/index.ts';
import { entriesOf } from '../../controllers/panel/entries.ts';
import type { EntryBody } from '../entries/index.ts';
import { fold } from '../fold/index.ts';
import { programOf } from './program.ts';

const freezer: EntryBody[] = [
  ...freezerSurvey,
  { kind: 'answer', question: 'displayUnit', value: 'celsius' },
];
const program = (replacement: ControllerDefinition, bodies: readonly EntryBody[]) =>
  programOf({
    state: fold(acceptedInOrder([...freezer, ...bodies])),
    name: 'Box',
    old: null,
    replacement,
    companyDefaults: {},
  });
const by = (code: string, value: CodeValue): EntryBody => ({ kind: 'plannedCode', code, value });
const codes = (rows: readonly { readonly code: string }[]) => rows.map((row) => row.code);

/** Every value a code can be given by hand: options, presets, the ends and the middle of its range. */
function valuesOf(definition: ControllerDefinition, parameter: Parameter): readonly CodeValue[] {
  const { encoding } = parameter;
  if (encoding.type === 'choice') return encoding.options.map((o) => o.value);
  if (encoding.type === 'preset') return (definition.presets ?? []).map((p) => p.id);
  if (encoding.type === 'reading') return [];
  const { min, max, resolution } = scaleOf(encoding, { unit: 'degC', decimal: false });
  return [min, max, Math.round((min + max) / 2 / resolution) * resolution];
}

describe('what every code is to be set to', () => {
  // Oracle: the panel's interpreter, which walks the menu that a person sees.
  test.each([...families.keys()])(
    '%s: 200 choices by hand, each taken; after each the codes are those that the panel shows',
    (id) => {
      const definition = family(id);
      const machine = machineOf(definition)!;
      const random = seeded(16);
      const settable = definition.parameters.filter((p) => valuesOf(definition, p).length > 0);
      let chosen: EntryBody[] = [];
      for (let run = 0; run < 200; run += 1) {
        const parameter = settable[run % settable.length]!;
        const values = valuesOf(definition, parameter);
        const value = values[Math.floor(random() * values.length)]!;
        chosen = [
          ...chosen.filter((c) => c.kind !== 'plannedCode' || c.code !== parameter.code),
          by(parameter.code, value),
        ];
        // Now and then from the beginning, so that not everything is chosen by hand.
        if (run % 40 === 39) chosen = [];
        const { rows, behind, display } = program(definition, chosen);
        const all = [...rows, ...behind.map((b) => ({ code: b.parameter.code, value: b.value }))];
        const memory = new Map(all.map((row) => [row.code, row.value]));
        expect(displayOf(definition, memory)).toEqual(display);
        if (chosen.length > 0) expect(memory.get(parameter.code)).toEqual(value);
        const seen = new Set(
          machine.panel.menus.flatMap((menu) =>
            entriesOf(machine, {
              ...panelAtRest(machine, memory),
              menu: menu.id,
              folder: [],
            } as never).flatMap((entry) =>
              'code' in entry ? [entry.code] : foldersOf(machine, memory, menu.id, entry.folder),
            ),
          ),
        );
        const inMenus = new Set(machine.panel.menus.flatMap((menu) => machine.codes.get(menu.id) ?? []));
        expect(new Set(codes(rows).filter((code) => inMenus.has(code)))).toEqual(
          new Set([...seen].filter((code) => memory.has(code))),
        );
      }
    },
  );

  test('a choice brings its dependent codes into the list, and takes them out again', () => {
    const dependent = [...families.keys()].flatMap((id) => {
      const definition = family(id);
      return definition.parameters.filter((p) => p.visibleWhen).map((p) => [definition, p] as const);
    });
    expect(dependent.length).toBeGreaterThan(10);
    for (const [definition, parameter] of dependent) {
      const { code, in: wanted } = parameter.visibleWhen!;
      const shown = program(definition, [by(code, wanted[0]!)]);
      expect([parameter.code, codes(shown.rows).includes(parameter.code)]).toEqual([parameter.code, true]);
      const master = definition.parameters.find((p) => p.code === code)!;
      const other = valuesOf(definition, master).find((v) => !wanted.includes(v));
      if (other === undefined) continue;
      const hidden = program(definition, [by(code, other)]);
      expect([parameter.code, codes(hidden.rows).includes(parameter.code)]).toEqual([parameter.code, false]);
      expect(hidden.behind.map((b) => b.parameter.code)).toContain(parameter.code);
    }
  });

  test('what a code is set to by hand is what the unit will do', () => {
    const marl = family('marl-4');
    const p = program(marl, [by('hold', -15)]);
    expect(p.inForce['regulation.setpoint']).toEqual({ value: -15, unit: 'degF' });
    expect(p.rows.find((row) => row.code === 'hold')).toMatchObject({ chosen: true, source: 'hand' });
  });

  test('a flag moved on the rule afterwards counts; a code typed after that counts again', () => {
    const marl = family('marl-4');
    const typed = by('hold', -15);
    const moved: EntryBody = {
      kind: 'planned',
      setting: 'regulation.setpoint',
      value: { value: -19, unit: 'degC' },
    };
    const valueOf = (bodies: readonly EntryBody[]) =>
      program(marl, bodies).rows.find((row) => row.code === 'hold')!.value;
    expect(valueOf([typed])).toBe(-15);
    // This control shows °F: −19 °C is −2 there.
    expect(valueOf([typed, moved])).toBe(-2);
    expect(valueOf([moved, typed])).toBe(-15);
  });

  test('the reason given for a choice stands beside it', () => {
    const choice: EntryBody = { kind: 'plannedCode', code: 'hold', value: -15, why: 'the shop asked for it' };
    const row = program(family('marl-4'), [choice]).rows.find((r) => r.code === 'hold')!;
    expect(row.reason).toBe('the shop asked for it');
  });

  test('a scale chosen by hand: every number is written in it', () => {
    const definition = [...families.keys()]
      .map(family)
      .find((d) => d.parameters.some((p) => p.setting === 'display.unit'))!;
    const unit = definition.parameters.find((p) => p.setting === 'display.unit')!;
    const fahrenheit =
      unit.encoding.type === 'choice' ? unit.encoding.options.find((o) => o.means === 'fahrenheit')! : null;
    const p = program(definition, [by(unit.code, fahrenheit!.value)]);
    expect(p.display!.unit).toBe('degF');
    for (const { parameter, value } of p.rows)
      expect(readTypedCode(definition, parameter, String(value), p.display!)).toEqual({ value });
  });
});

describe('a preset that is planned', () => {
  const holm = family('holm-fit');
  const preset = holm.presets!.find((p) => p.id === 'freezerE')!;
  const planned = program(holm, [by('APP', 'freezerE')]);

  test('stands first, and sets by itself what it agrees with', () => {
    expect(planned.rows[0]).toMatchObject({ code: 'APP', value: 'freezerE', state: 'open' });
    const byItself = planned.rows.filter((row) => row.state === 'byPreset');
    expect(byItself.length).toBeGreaterThan(0);
    for (const row of byItself) expect([row.code, row.value]).toEqual([row.code, preset.values[row.code]]);
  });

  test('leaves less to key than without it, and nothing it sets undecided', () => {
    const open = (p: typeof planned) => p.rows.filter((row) => row.state === 'open').length;
    expect(open(planned)).toBeLessThan(open(program(holm, [])));
    for (const row of planned.rows)
      if (preset.values[row.code] !== undefined) expect([row.code, row.undecided]).toEqual([row.code, false]);
  });

  test('gives the plan way where the plan has a value', () => {
    const bare = program(holm, []);
    for (const row of bare.rows.filter((r) => r.planned !== null && r.code !== 'APP'))
      expect(planned.rows.find((r) => r.code === row.code)?.value).toEqual(row.value);
  });
});

function foldersOf(
  machine: NonNullable<ReturnType<typeof machineOf>>,
  memory: ReadonlyMap<string, CodeValue>,
  menu: string,
  folder: readonly string[],
): readonly string[] {
  return entriesOf(machine, { ...panelAtRest(machine, memory), menu, folder } as never, folder).flatMap(
    (entry) => ('code' in entry ? [entry.code] : foldersOf(machine, memory, menu, entry.folder)),
  );
}
