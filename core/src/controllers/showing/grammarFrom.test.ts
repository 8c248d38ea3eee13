import { describe, expect, test } from '@jest/globals';
import { styleDefinition } from '../../../testing/panels.ts';
import type { ControllerDefinition, Menu, Panel } from '../definitions/index.ts';
import { act, machineOf, panelAtRest, planKeys, type Act } from '../panel/index.ts';
import { panelFrom, panelPatterns } from '../suggest/index.ts';
import type { Demonstration, MenuAnswers } from './demonstration.ts';
import { grammarFrom, panelOf } from './grammarFrom.ts';

/** Acts one by one on a panel, with what a person would write down of its display. */
function watched(definition: ControllerDefinition, acts: readonly Act[]): Demonstration['steps'] {
  const machine = machineOf(definition)!;
  let state = panelAtRest(machine);
  return acts.flatMap((what) =>
    Array.from({ length: what.action === 'press' ? (what.times ?? 1) : 1 }, (_, i) => {
      const { times: _times, ...one } = what;
      const last = i === (what.times ?? 1) - 1;
      const done = act(
        machine,
        state,
        what.action === 'press' ? { ...one, ...(what.holding && !last && { keep: true }) } : what,
      );
      state = done.state;
      const resting = state.phase === 'rest' || state.phase === 'off' || done.shows === 'reading';
      return {
        act: { ...one, ...(what.holding && !last && { keep: true }) },
        shows: resting ? null : done.shows,
      };
    }),
  );
}

const bare = (definition: ControllerDefinition): ControllerDefinition => {
  const { panel: _, ...rest } = definition;
  return rest;
};

/** One value set on a real panel. */
function demonstrated(definition: ControllerDefinition, code: string, value: number): Demonstration {
  const { steps } = planKeys(machineOf(definition)!, new Map(), [{ code, value: String(value) }]);
  return { code, value: String(value), steps: watched(definition, steps) };
}

/** What a person says to the questions: here read off the panel that is learned. */
function answersOf(menu: Menu): MenuAnswers {
  return {
    accessCodes: menu.enter.flatMap((step) => ('code' in step ? [step.code] : [])),
    previous: menu.move?.previous ?? null,
    less: menu.edit?.less ?? null,
    more: menu.edit?.more ?? null,
    timeOutSeconds: menu.timeOut?.seconds ?? 0,
    keeps: menu.timeOut?.keeps ?? 'taken',
    stores: menu.stores ?? 'taken',
  };
}

/** Every parameter set to two other values, planned on what was learned, done on the real panel. */
function expectSameKeys(real: ControllerDefinition, learned: ControllerDefinition): void {
  for (const { code, encoding, visibleWhen } of real.parameters) {
    if (visibleWhen || encoding.type === 'preset' || encoding.type === 'reading') continue;
    const values =
      encoding.type === 'number'
        ? [
            encoding.default + (encoding.max > encoding.default ? 1 : -1),
            Math.max(encoding.min, encoding.default - 2),
          ]
        : encoding.options.map((o) => o.value);
    for (const value of values) {
      const plan = planKeys(machineOf(learned)!, new Map(), [{ code, value: String(value) }]);
      const machine = machineOf(real)!;
      const end = plan.steps.reduce((state, step) => act(machine, state, step).state, panelAtRest(machine));
      expect([code, end.phase, String(end.memory.get(code))]).toEqual([code, 'rest', String(value)]);
    }
  }
}

const learn = (definition: ControllerDefinition, panel: Panel, demonstrations: readonly Demonstration[]) =>
  grammarFrom(bare(definition), panel.keys, null, demonstrations, answersOf(panel.menus[0]!));

describe('a panel learned from one value shown at it', () => {
  // Oracle: the panels of docs/formats/panel.md; key presses planned on the learned grammar are done on the real one. i wants a switch moved, k picks by sensing: neither is shown by keys alone.
  test.each(['a', 'b', 'c', 'd', 'e', 'f', 'g', 'h', 'j'].map((style) => [style]))('style %s', (style) => {
    const definition = styleDefinition(style);
    for (const [code, value] of [
      ['gap', 5],
      ['span', 8],
    ] as const) {
      const learned = learn(definition, definition.panel as Panel, [demonstrated(definition, code, value)]);
      if ('problem' in learned) throw new Error(`${code}: ${learned.problem}`);
      expectSameKeys(definition, {
        ...definition,
        panel: panelOf((definition.panel as Panel).keys, [learned]),
      });
    }
  });

  test.each(panelPatterns.filter(({ id }) => id !== 'guard').map((p) => [p.id, p] as const))(
    'pattern %s',
    (_, pattern) => {
      const definition = {
        ...styleDefinition('a'),
        panel: panelFrom(pattern, { code: pattern.suggested.code || '17' }),
      };
      const learned = learn(definition, definition.panel, [demonstrated(definition, 'gap', 6)]);
      if ('problem' in learned) throw new Error(learned.problem);
      expectSameKeys(definition, { ...definition, panel: panelOf(definition.panel.keys, [learned]) });
    },
  );
});

test('two access codes one after the other, counted down past nought', () => {
  const definition = styleDefinition('a');
  const { menus, keys } = definition.panel as Panel;
  const [menu] = menus;
  const twice: Panel = {
    keys,
    menus: [
      {
        ...menu!,
        enter: [
          menu!.enter[0]!,
          { code: '7', by: 'count', more: 'up', less: 'down', take: 'set' },
          { code: '12', by: 'count', more: 'up', less: 'down', take: 'set' },
        ],
      },
    ],
  };
  const real = { ...definition, panel: twice };
  const learned = learn(real, twice, [demonstrated(real, 'gap', 5)]);
  if ('problem' in learned) throw new Error(learned.problem);
  expectSameKeys(real, { ...definition, panel: panelOf(keys, [learned]) });
});

test.each([
  ['whole degrees', false, 5],
  ['tenths', true, 3.4],
])('a code that may have tenths, shown on a display in %s', (_, decimal, value) => {
  const style = styleDefinition('a');
  const definition: ControllerDefinition = {
    ...style,
    fixed: { ...style.fixed, 'display.decimal': decimal },
    parameters: style.parameters.map((p) =>
      p.code === 'gap' && p.encoding.type === 'number'
        ? { ...p, encoding: { ...p.encoding, resolution: { withDecimal: 0.1, without: 1 } } }
        : p,
    ),
  };
  const learned = learn(definition, definition.panel as Panel, [demonstrated(definition, 'gap', value)]);
  if ('problem' in learned) throw new Error(learned.problem);
  // One step a press: no digit is turned by itself.
  expect(learned.menu.edit).not.toHaveProperty('by');
  expectSameKeys(definition, { ...definition, panel: panelOf((definition.panel as Panel).keys, [learned]) });
});

test('a unit that shows tenths, whose control comes without', () => {
  const style = styleDefinition('a');
  const tenths = (standard: 'y' | 'n'): ControllerDefinition => ({
    ...style,
    parameters: [
      ...style.parameters.map((p) =>
        p.code === 'gap' && p.encoding.type === 'number'
          ? { ...p, encoding: { ...p.encoding, resolution: { withDecimal: 0.1, without: 1 } } }
          : p,
      ),
      {
        code: 'dot',
        name: 'Tenths',
        setting: 'display.decimal',
        encoding: {
          type: 'choice',
          options: [
            { value: 'n', means: false },
            { value: 'y', means: true },
          ],
          default: standard,
        },
      },
    ],
  });
  const atTheUnit = tenths('y');
  const learned = learn(tenths('n'), style.panel as Panel, [demonstrated(atTheUnit, 'gap', 3.4)]);
  if ('problem' in learned) throw new Error(learned.problem);
  expect(learned.present.get('dot')).toBe('y');
  expectSameKeys(atTheUnit, { ...atTheUnit, panel: panelOf((style.panel as Panel).keys, [learned]) });
});

describe('keys for the way that was not shown', () => {
  const definition = styleDefinition('a');
  const panel = definition.panel as Panel;
  const learned = (answers: Partial<MenuAnswers>, keys = panel.keys) =>
    grammarFrom(bare(definition), keys, null, [demonstrated(definition, 'gap', 5)], {
      accessCodes: ['31'],
      timeOutSeconds: 60,
      keeps: 'nothing',
      stores: 'leaving',
      ...answers,
    });
  const named = panel.keys.map((key) => ({ ...key, label: { set: 'SET', up: '▲', down: '▼' }[key.id]! }));

  test('are the partners of those that were', () => {
    expect(learned({}, named)).toMatchObject({
      menu: { move: { previous: 'down' }, edit: { less: 'down' } },
    });
  });

  test('are none where somebody says so, or where nothing on the keys tells', () => {
    for (const one of [
      learned({ previous: null, less: null }, named),
      learned(
        {},
        panel.keys.map((key, i) => ({ ...key, label: `KEY ${i}` })),
      ),
    ]) {
      if ('problem' in one) throw new Error(one.problem);
      expect([one.menu.move?.previous, one.menu.edit?.less]).toEqual([undefined, undefined]);
    }
  });
});

describe('steps that make no panel', () => {
  const definition = styleDefinition('a');
  const shown = demonstrated(definition, 'gap', 5);
  const panel = definition.panel as Panel;
  const problemOf = (steps: Demonstration['steps'], code = 'gap') => {
    const learned = learn(definition, panel, [{ ...shown, code, steps }]);
    return 'problem' in learned ? learned.problem : null;
  };

  test('a menu that is never left', () => {
    expect(problemOf(shown.steps.slice(0, -1))).toContain('show how the menu is left');
  });

  test('a display that no key can bring', () => {
    const at = shown.steps.findIndex(({ shows }) => shows === '5');
    const wrong = shown.steps.map((step, i) => (i === at ? { ...step, shows: '9' } : step));
    expect(problemOf(wrong)).toMatch(/^Step \d+: /);
  });

  test('a code that the display never showed', () => {
    expect(problemOf(shown.steps, 'thaw')).toContain('not thaw');
  });

  test('nothing shown', () => {
    expect(problemOf([])).toBe('Show the keys for one value first.');
  });
});
