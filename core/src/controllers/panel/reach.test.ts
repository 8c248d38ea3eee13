import { describe, expect, test } from '@jest/globals';
import type { ControllerDefinition } from '../definitions/index.ts';
import { families, family } from '../../../testing/families.ts';
import { styleDefinition, styles } from '../../../testing/panels.ts';
import { readController, unreachable } from './reach.ts';

/** A family with its panel changed, as parsed JSON. */
// eslint-disable-next-line @typescript-eslint/no-explicit-any -- the tests break what the types forbid
function broken(id: string, change: (definition: any) => void): unknown {
  const copy = structuredClone(family(id));
  change(copy);
  return copy;
}

function faultsOf(data: unknown): string[] {
  const read = readController(data);
  return ('faults' in read ? read.faults : []).map((f) => `${f.path}: ${f.message}`);
}

describe('sound panels have no fault', () => {
  test.each([...families.keys()])('family %s', (id) => expect(faultsOf(family(id))).toEqual([]));

  // `k` keeps codes that only a preset or nothing reaches; the grammar's page shows it as an example of the latter.
  test.each(styles.filter((s) => s !== 'k'))('style %s', (style) =>
    expect(faultsOf(styleDefinition(style))).toEqual([]),
  );

  test('style k: codes that neither a key, a preset nor sensing reaches are named', () => {
    const faults = faultsOf(styleDefinition('k'));
    expect(faults.map((f) => f.split(':')[0])).toEqual(['$.parameters[1]', '$.parameters[4]']);
  });
});

describe('each fault with its path and a sentence', () => {
  test.each([
    [
      'a key that is not there',
      'marl-4',
      (d) => (d.panel.menus[0].move.next = 'left'),
      '$.panel.menus[0].move.next: "left" is no key',
    ],
    ['no way in', 'marl-4', (d) => (d.panel.menus[0].enter = []), 'no key sequence reaches this menu'],
    [
      'a code nobody can type',
      'marl-4',
      (d) => {
        delete d.panel.menus[0].enter[1].more;
        delete d.panel.menus[0].enter[1].less;
      },
      '$.panel.menus[0].enter[1].more',
    ],
    [
      'no way out',
      'gault-p',
      (d) => {
        delete d.panel.menus[0].leave;
        delete d.panel.menus[0].timeOut;
      },
      '$.panel.menus[0].leave: expected a way back to rest',
    ],
    [
      'nothing saves',
      'marl-4',
      (d) => {
        d.panel.menus[0].stores = 'leaving';
        d.panel.menus[0].leave = [{ press: 'set', seconds: 4, then: 'discard' }];
        d.panel.menus[0].timeOut.keeps = 'nothing';
      },
      'no way out saves them',
    ],
    [
      'nothing takes',
      'skerry-dx',
      (d) => {
        delete d.panel.menus[0].edit.take;
      },
      '$.panel.menus[0].edit.take',
    ],
    [
      'release without holding',
      'marl-4',
      (d) => (d.panel.menus[0].edit.take = 'release'),
      'release is possible only',
    ],
    [
      'a key that moves and turns',
      'tarn-1',
      (d) => (d.panel.menus[0].move.previous = 'colder'),
      '"colder" both moves and turns',
    ],
    [
      'a switch position that is not there',
      'tarn-1',
      (d) => (d.panel.menus[0].needs.guard = 'open'),
      '$.panel.menus[0].needs.guard',
    ],
    [
      'a question without answers',
      'marl-4',
      (d) => (d.panel.menus[0].move.end = 'ask'),
      '$.panel.menus[0].ask',
    ],
    [
      'a menu on the way to another',
      'marl-4',
      (d) =>
        d.panel.menus.push({
          ...d.panel.menus[0],
          id: 'more',
          enter: [...d.panel.menus[0].enter, { press: 'set' }],
        }),
      '$.panel.menus[1].enter: no key sequence reaches this menu',
    ],
    [
      'a code that no menu holds',
      'marl-4',
      (d) => (d.panel.menus[0].codes = ['hold', 'gap']),
      '$.parameters[2]: no key sequence reaches it: low: no menu reaches it',
    ],
    [
      'a value its keys do not turn to',
      'marl-4',
      (d) => {
        delete d.panel.menus[0].edit.more;
      },
      '$.parameters[0]',
    ],
    [
      'a list that does not lead on',
      'marl-4',
      (d) => {
        delete d.panel.menus[0].move.next;
        delete d.panel.menus[0].move.previous;
      },
      '$.parameters[1]: no key sequence reaches it',
    ],
    [
      'a deed that begins as a menu',
      'skerry-dx',
      (d) => (d.panel.deeds = [{ does: 'startDefrost', steps: [{ press: 'menu', seconds: 4 }] }]),
      '$.panel.deeds[0].steps[0]',
    ],
    [
      'a deed said twice',
      'marl-4',
      (d) => d.panel.deeds.push(d.panel.deeds[0]),
      '$.panel.deeds[6].does: "startDefrost" is there twice',
    ],
    ['no keys at all', 'marl-4', (d) => (d.panel.keys = []), '$.panel.keys: expected at least one key'],
    // eslint-disable-next-line @typescript-eslint/no-explicit-any -- as above
  ] as [string, string, (d: any) => unknown, string][])('%s', (_, id, change, sentence) => {
    const faults = faultsOf(broken(id, change));
    expect(faults.join('\n')).toContain(sentence);
  });
});

test('a family without a panel is sound: it only cannot be keyed', () => {
  const bare = { ...family('marl-4') } as Record<string, unknown>;
  delete bare['panel'];
  expect(unreachable(bare as unknown as ControllerDefinition)).toEqual([]);
});
