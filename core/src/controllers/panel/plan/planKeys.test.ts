import { describe, expect, test } from '@jest/globals';
import fc from 'fast-check';
import {
  displayOf,
  panelOf,
  scaleOf,
  type CodeStep,
  type CodeValue,
  type ControllerDefinition,
} from '../../definitions/index.ts';
import { clean } from '../../../foundation/quantities/index.ts';
import { families, family } from '../../../../testing/families.ts';
import { styleDefinition, styles } from '../../../../testing/panels.ts';
import { optionsOf } from '../editing.ts';
import { act, panelAtRest } from '../interpreter.ts';
import { machineOf, sensedCodes, type Machine } from '../machine.ts';
import { setsDisplay, store } from '../values.ts';
import { planKeys } from './planKeys.ts';
import type { Wish } from './wishes.ts';

const machine = (definition: ControllerDefinition) => machineOf(definition)!;
const strokes = (m: Machine, wishes: Record<string, CodeValue>, present: Record<string, CodeValue> = {}) =>
  planKeys(
    m,
    new Map(Object.entries(present)),
    Object.entries(wishes).map(([code, value]) => ({ code, value })),
  ).steps.map((s) =>
    [
      s.action,
      s.keys?.join('+') ?? s.to ?? '',
      (s.times ?? 1) > 1 ? `×${s.times}` : '',
      s.seconds === undefined ? '' : `${s.seconds} s`,
      s.holding ? `holding ${s.holding.join('+')}` : '',
      `→ ${s.shows}`,
    ]
      .filter((part) => part !== undefined && part !== '')
      .join(' '),
  );

describe('strokes worked out by hand from the grammar', () => {
  test('a: chord, code counted up, hold to save', () => {
    expect(strokes(machine(styleDefinition('a')), { gap: 5 })).toEqual([
      'chord up+down 4 s → 0',
      'press up ×31 → 31',
      'press set → zip',
      'press up → gap',
      'press set → 3',
      'press up ×2 → 5',
      'press set → gap',
      'hold set 5 s → reading',
    ]);
  });

  test('a: a code above half is counted down', () => {
    const definition = styleDefinition('a');
    const [menu] = panelOf(definition)!.menus;
    const [chord, code] = menu!.enter;
    const panel = {
      ...panelOf(definition)!,
      menus: [{ ...menu!, enter: [chord!, { ...(code as CodeStep), code: '97' }] }],
    };
    expect(strokes(machine({ ...definition, panel }), { gap: 4 })[1]).toBe('press down ×3 → 97');
  });

  test('c: into a folder in a folder', () => {
    expect(strokes(machine(styleDefinition('c')), { span: 4 })).toEqual([
      'hold prg 3 s → Cold',
      'press down → Ice',
      'press prg → thaw',
      'press down → Count',
      'press prg → span',
      'press prg → 6',
      'press down ×2 → 4',
      'press prg → span',
      'wait 15 s → reading',
    ]);
  });

  test('d: turn while the hand key is held; letting go takes', () => {
    expect(strokes(machine(styleDefinition('d')), { zip: 39 })).toEqual([
      'chord hand+down 4 s → zip',
      'press up ×2 holding hand → 39',
      'chord hand+down 3 s → reading',
    ]);
  });

  test('i: the switch under the cover, moved with the supply off, and put back', () => {
    expect(strokes(machine(styleDefinition('i')), { zip: 36 })).toEqual([
      'power off → ',
      'switch guard → ',
      'power on → reading',
      'press set → 37',
      'press colder → 36',
      'press set ×4 → reading',
      'power off → ',
      'switch guard → ',
      'power on → reading',
    ]);
  });

  test('a hidden code is uncovered for a while, and what hid it is put back', () => {
    const m = machine(styleDefinition('h'));
    const plan = planKeys(m, new Map(), [{ code: 'edge', value: 60 }]);
    expect(plan.stored.get('edge')).toBe(60);
    expect(plan.stored.get('thaw')).toBe(0);
  });

  test('a value that hides another is set after it', () => {
    const m = machine(styleDefinition('h'));
    const { stored } = planKeys(m, new Map<string, CodeValue>([['thaw', 1]]), [
      { code: 'thaw', value: 0 },
      { code: 'edge', value: 55 },
    ]);
    expect([stored.get('thaw'), stored.get('edge')]).toEqual([0, 55]);
  });

  test('k: the preset is taken, and what sensing sets stays', () => {
    const { stored } = planKeys(machine(styleDefinition('k')), new Map(), [
      { code: 'app', value: 'freezer' },
    ]);
    expect(Object.fromEntries(stored)).toMatchObject({ app: 'freezer', zip: -8, thaw: 1, span: 6 });
  });
});

describe('what cannot be planned is refused with a sentence', () => {
  test.each([
    [{ nope: 1 }, 'nope: no code of this controller'],
    [{ thaw: 7 }, 'thaw: 7 is no option of it; expected 0, 1, 2'],
    [{ zip: 99 }, 'zip: 99 cannot be shown; expected −20 to 60 °F'],
    [{ zip: 36.5 }, 'zip: 36.5 cannot be shown'],
  ] as [Record<string, CodeValue>, string][])('%j', (wishes, sentence) => {
    expect(() => strokes(machine(styleDefinition('a')), wishes)).toThrow(sentence);
  });

  test('a code that no menu holds', () => {
    const definition = styleDefinition('a');
    const [menu] = panelOf(definition)!.menus;
    const panel = { ...panelOf(definition)!, menus: [{ ...menu!, codes: ['zip'] }] };
    expect(() => strokes(machine({ ...definition, panel }), { gap: 4 })).toThrow('gap: no menu reaches it');
  });
});

/** Values of every settable code, drawn for the display as `values` leaves it. */
function wishFor(m: Machine, values: ReadonlyMap<string, CodeValue>, code: string, draw: number): Wish {
  const parameter = m.parameters.get(code)!;
  if (parameter.encoding.type !== 'number') {
    const options = optionsOf(m, parameter);
    return { code, value: options[Math.floor(draw * options.length)]! };
  }
  const scale = scaleOf(parameter.encoding, displayOf(m.definition, values));
  const steps = Math.round((scale.max - scale.min) / scale.resolution);
  const from = Math.round(scale.min / scale.resolution);
  return { code, value: clean((from + Math.floor(draw * (steps + 1))) * scale.resolution, 4) };
}

/** Settable codes of a definition that a menu holds. */
function settable(m: Machine): readonly string[] {
  const held = new Set([...m.codes.values()].flat());
  return m.definition.parameters
    .filter((p) => held.has(p.code) && p.encoding.type !== 'reading')
    .map((p) => p.code);
}

const wanted = (codes: readonly string[]) =>
  fc.record({
    present: fc.array(
      fc.tuple(fc.constantFrom(...codes), fc.double({ min: 0, max: 0.999999, noNaN: true })),
      {
        maxLength: 8,
      },
    ),
    wishes: fc.uniqueArray(
      fc.tuple(fc.constantFrom(...codes), fc.double({ min: 0, max: 0.999999, noNaN: true })),
      { maxLength: 10, selector: ([code]) => code },
    ),
  });

/** A value that lies on the display's steps is needed to turn to another: presets and conversions may leave one that does not. */
function holds(m: Machine, runs: number): void {
  const codes = settable(m);
  const sensed = sensedCodes(m);
  fc.assert(
    fc.property(wanted(codes), ({ present, wishes }) => {
      const displayFirst = (a: readonly [string, number], b: readonly [string, number]) =>
        Number(!setsDisplay(m.parameters.get(a[0])!)) - Number(!setsDisplay(m.parameters.get(b[0])!));
      const before = new Map<string, CodeValue>();
      for (const [code, draw] of [...present].sort(displayFirst)) {
        if (m.parameters.get(code)!.encoding.type === 'preset') continue;
        before.set(code, wishFor(m, before, code, draw).value);
      }
      const start = panelAtRest(m, before);
      // Oracle: what memory must hold afterwards, by the rules of the display alone, without any key.
      let expected = start.memory;
      const list: Wish[] = [];
      const rank = ([code]: readonly [string, number]) => {
        const parameter = m.parameters.get(code)!;
        return setsDisplay(parameter) ? 0 : parameter.encoding.type === 'preset' ? 1 : 2;
      };
      for (const [code, draw] of [...wishes].sort((a, b) => rank(a) - rank(b))) {
        const wish = wishFor(m, expected, code, draw);
        list.push(wish);
        if (m.parameters.get(code)!.encoding.type !== 'preset' || expected.get(code) !== wish.value)
          expected = store(m.definition, expected, code, wish.value);
      }
      const { steps } = planKeys(m, before, list);
      let state = start;
      for (const step of steps) {
        const result = act(m, state, step);
        expect(result.shows).toBe(step.shows);
        state = result.state;
      }
      expect(state.phase).toBe('rest');
      for (const { id, normal } of m.panel.switches ?? []) expect(state.switches.get(id)).toBe(normal);
      const visible = (values: ReadonlyMap<string, CodeValue>) =>
        Object.fromEntries([...values].filter(([code]) => !sensed.has(code)).sort());
      expect(visible(state.memory)).toEqual(visible(expected));
    }),
    { seed: 11, numRuns: runs },
  );
}

describe('random values on every menu style: exactly those are stored, nothing else changed (property)', () => {
  test.each(styles)('style %s', (style) => holds(machine(styleDefinition(style)), 200));
});

describe('and on every family of the demo (property)', () => {
  test.each([...families.keys()])('%s', (id) => holds(machine(family(id)), 120));
});
