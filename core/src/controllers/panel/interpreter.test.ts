import { describe, expect, test } from '@jest/globals';
import type { CodeValue, ControllerDefinition, Panel } from '../definitions/index.ts';
import { family } from '../../../testing/families.ts';
import { styleDefinition } from '../../../testing/panels.ts';
import type { Act } from './act.ts';
import { act, panelAtRest, WrongAct } from './interpreter.ts';
import { machineOf, type PanelState } from './machine.ts';

/**
 * Acts in short: `up`, `up*3` presses; `set:5` a hold of 5 s; `up+down:4` a chord; `12s` a wait; `off`, `on` the supply; `guard=free` a switch;
 * `hand(up*2)` presses while a key is held, `hand(up…` without letting go.
 */
function acts(line: string): Act[] {
  return line.split(' ').map((word): Act => {
    const held = /^(\w+)\((\w+)(?:\*(\d+))?(\)|…)$/.exec(word);
    if (held)
      return {
        action: 'press',
        keys: [held[2]!],
        times: Number(held[3] ?? 1),
        holding: [held[1]!],
        ...(held[4] === '…' && { keep: true }),
      };
    if (word === 'off' || word === 'on') return { action: 'power', to: word };
    const wait = /^(\d+)s$/.exec(word);
    if (wait) return { action: 'wait', seconds: Number(wait[1]) };
    const [key, position] = word.split('=');
    if (position !== undefined) return { action: 'switch', keys: [key!], to: position };
    const [keys, seconds] = word.split(':');
    if (keys!.includes('+'))
      return { action: 'chord', keys: keys!.split('+'), ...(seconds && { seconds: Number(seconds) }) };
    if (seconds !== undefined) return { action: 'hold', keys: [keys!], seconds: Number(seconds) };
    const [name, times] = word.split('*');
    return { action: 'press', keys: [name!], times: Number(times ?? 1) };
  });
}

function run(definition: ControllerDefinition, line: string, present: Record<string, CodeValue> = {}) {
  const machine = machineOf(definition)!;
  let state: PanelState = panelAtRest(machine, new Map(Object.entries(present)));
  const shown: string[] = [];
  for (const what of acts(line)) {
    const result = act(machine, state, what);
    state = result.state;
    shown.push(result.shows);
  }
  return { state, shown, value: (code: string) => state.memory.get(code) };
}

const style = (id: string) => styleDefinition(id);
/** A style with its first menu changed. */
function changed(id: string, change: object): ControllerDefinition {
  const definition = style(id);
  const panel = definition['panel'] as Panel;
  return { ...definition, panel: { ...panel, menus: [{ ...panel.menus[0]!, ...change }] } };
}

describe('into a menu', () => {
  test('a: the chord must be held long enough; a wrong code ends at rest; right opens on the first code', () => {
    expect(run(style('a'), 'up+down:3').state.phase).toBe('rest');
    expect(run(style('a'), 'up+down:4 up*30 set').state.phase).toBe('rest');
    expect(run(style('a'), 'up+down:4 up*31 set').shown.at(-1)).toBe('zip');
  });

  test('a: the count wraps below zero, 0…99 for two digits', () => {
    expect(run(style('a'), 'up+down:4 down').shown).toEqual(['0', '99']);
    expect(run(style('a'), 'up+down:4 down*69 set').shown.at(-1)).toBe('zip');
  });

  test('a: the way in is forgotten after the time-out, waits in a row added up, any act starting anew', () => {
    expect(run(style('a'), 'up+down:4 30s 30s').state.phase).toBe('rest');
    expect(run(style('a'), 'up+down:4 59s up 59s').state.phase).toBe('entering');
  });

  test('f: four digits, each turned round without carry', () => {
    expect(run(style('f'), 'menu down enter').shown).toEqual(['0000', '9000', '9000']);
    expect(run(style('f'), 'menu enter up*4 enter up enter down*3 enter').shown.at(-1)).toBe('Cold');
    expect(run(style('f'), 'menu enter up*4 enter up enter down*2 enter').state.phase).toBe('rest');
  });

  test('e: any key held; another key than the next step is tried as a first step', () => {
    expect(run(style('e'), 'c:2 a').shown.at(-1)).toBe('Cold');
    expect(run(style('e'), 'c:2 d:2 a').shown.at(-1)).toBe('Cold');
    expect(run(style('e'), 'c:2 d a').state.phase).toBe('rest');
  });

  test('i: without the switch the menu does not open; the switch is moved only with the supply off', () => {
    expect(run(style('i'), 'set').state.phase).toBe('rest');
    expect(() => run(style('i'), 'guard=free')).toThrow(WrongAct);
    expect(run(style('i'), 'off guard=free on set').shown.at(-1)).toBe('37');
  });

  test('of two gestures that fit, the longest counts', () => {
    const definition = style('b');
    const panel = definition['panel'] as Panel;
    const short = { ...panel.menus[0]!, id: 'short', codes: ['gap'], enter: [{ press: 'set', seconds: 3 }] };
    const long = { ...short, id: 'long', codes: ['span'], enter: [{ press: 'set', seconds: 6 }] };
    const both = { ...definition, panel: { ...panel, menus: [short, long] } };
    expect(run(both, 'set:4').shown).toEqual(['gap']);
    expect(run(both, 'set:7').shown).toEqual(['span']);
  });

  test('k: senses for six seconds, then sets what it found, then opens', () => {
    expect(run(style('k'), 'match:5 5s').state.phase).toBe('busy');
    const done = run(style('k'), 'match:5 up 6s');
    expect(done.state.phase).toBe('list');
    expect(done.value('thaw')).toBe(1);
  });

  test('an unknown key is refused', () => {
    expect(() => run(style('a'), 'left')).toThrow('no key left');
  });
});

describe('changing and taking', () => {
  const open = 'up+down:4 up*31 set';

  test('a: in hand until the hold that saves; the time-out drops it', () => {
    expect(run(style('a'), `${open} set up set`).value('zip')).toBe(37);
    expect(run(style('a'), `${open} set up set set:5`).value('zip')).toBe(38);
    expect(run(style('a'), `${open} set up set 60s`).value('zip')).toBe(37);
  });

  test('a: the end stops; with wrap it goes to the other end', () => {
    expect(run(style('a'), `${open} set up*50`).shown.at(-1)).toBe('60');
    const wrapping = changed('a', { edit: { more: 'up', less: 'down', take: 'set', ends: 'wrap' } });
    expect(run(wrapping, `${open} set up*24`).shown.at(-1)).toBe('-20');
  });

  test('b: taking goes on to the next code', () => {
    expect(run(style('b'), 'set:8 up*12 set set up set').shown.at(-1)).toBe('gap');
  });

  test('c: the time-out takes even the value being turned', () => {
    expect(run(style('c'), 'prg:3 prg prg up 15s').value('zip')).toBe(38);
    expect(run(style('c'), 'prg:3 prg prg up esc 15s').value('zip')).toBe(37);
  });

  test('d: letting the hand key go takes and goes on; keep holds it over two acts', () => {
    const once = run(style('d'), 'hand+down:4 hand(up*2)');
    expect(once.shown.at(-1)).toBe('39');
    expect(once.value('zip')).toBe(39);
    expect(once.state.at).toEqual({ code: 'gap' });
    expect(run(style('d'), 'hand+down:4 hand(up… hand(up)').value('zip')).toBe(39);
  });

  test('g: without CONFIRM the value reverts', () => {
    expect(run(style('g'), 'choose up confirm').value('zip')).toBe(38);
    expect(run(style('g'), 'choose up choose').value('zip')).toBe(37);
    expect(run(style('g'), 'choose up 12s').value('zip')).toBe(37);
  });

  test('h: moving on takes', () => {
    expect(run(style('h'), 'set:3 up set').value('zip')).toBe(38);
    expect(run(style('h'), 'set:3 up set:3').value('zip')).toBe(38);
  });

  test('j: digit by digit with a sign; saved on yes, dropped on no', () => {
    // −20…60 has a sign and two digits: 037 → −07.
    const typed = 'pin walk up right down*3 walk walk walk walk';
    expect(run(style('j'), typed).state.phase).toBe('ask');
    expect(run(style('j'), `${typed} up`).value('zip')).toBe(-7);
    expect(run(style('j'), `${typed} down`).value('zip')).toBe(37);
  });

  test('j: a typed value outside the range is not taken', () => {
    expect(run(style('j'), 'pin walk right up*6 walk walk walk walk up').value('zip')).toBe(37);
  });

  test('a hidden code comes into the list with the value that shows it, saved or not', () => {
    expect(run(style('h'), 'set:3 set*3').shown.at(-1)).toBe('6');
    expect(run(style('h'), 'set:3 set*2 up set*2').shown.at(-1)).toBe('50');
  });

  test('power off drops what is in hand, but saves where the menu says so', () => {
    expect(run(style('a'), `${open} set up set off on`).value('zip')).toBe(37);
    const byPower = changed('a', { leave: [{ power: 'off', then: 'save' }] });
    expect(run(byPower, `${open} set up set off on`).value('zip')).toBe(38);
  });
});

describe('the display of a family', () => {
  test('switching °C to °F converts what is stored: 2.0 °C is 35.6 °F, a difference of 2.0 K is 3.6', () => {
    const definition = family('skerry-dx');
    const before = run(definition, 'up');
    expect([before.value('t1'), before.value('t2')]).toEqual([2, 2]);
    const machine = machineOf(definition)!;
    // Into the last folder, where the display is set.
    let state = panelAtRest(machine);
    for (const what of acts('menu:4 up menu menu up menu back:3')) state = act(machine, state, what).state;
    expect(state.memory.get('p1')).toBe(1);
    expect([state.memory.get('t1'), state.memory.get('t2')]).toEqual([35.6, 3.6]);
  });
});

test('a deed shows what it does, sets nothing, and its message goes with the next act', () => {
  const definition = style('a');
  const panel = definition['panel'] as Panel;
  const withDeed = {
    ...definition,
    panel: {
      ...panel,
      deeds: [{ does: 'startDefrost', steps: [{ press: 'up', seconds: 3 }], shows: 'dEF' }],
    },
  };
  const done = run(withDeed, 'up:4 set');
  expect(done.shown).toEqual(['dEF', 'reading']);
  expect(done.state.deeds).toEqual(['startDefrost']);
});
