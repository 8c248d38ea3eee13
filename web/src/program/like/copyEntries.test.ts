import { readFileSync } from 'node:fs';
import { expect, test } from '@jest/globals';
import { copyOf } from '@brine/core/controllers/beside';
import { readDefinition, type CodeValue } from '@brine/core/controllers/definitions';
import { copyEntries, type CopyToUnit } from './copyEntries.ts';

const read = readDefinition(
  JSON.parse(
    readFileSync(new URL('../../../../demo/controllers/skerry-dx.controller.json', import.meta.url), 'utf8'),
  ),
);
if ('faults' in read) throw new Error(read.faults[0]!.message);
const control = read.definition;
const codeFor = (setting: string) => control.parameters.find((one) => one.setting === setting)!.code;
const [setpoint, offset] = [codeFor('regulation.setpoint'), codeFor('probes.airOffset')];
const pin = { id: control.id, family: control.family, version: '1', hash: 'a'.repeat(64) };
const values = new Map<string, CodeValue>([
  [setpoint, 2],
  [offset, 0],
]);
const standing = new Map<string, CodeValue>([
  [setpoint, 5],
  [offset, -1.2],
]);
const given: CopyToUnit = {
  pin,
  control,
  copy: copyOf(control, values),
  told: { unit: 'degC', decimal: true },
  standing,
  from: { job: 'j', unit: 'Left counter' },
  hasNew: false,
  hasOld: false,
  answers: [{ kind: 'answer', question: 'goods', value: 'dairy' }],
};
const kinds = (more: Partial<CopyToUnit>) =>
  copyEntries({ ...given, ...more }).map((body) =>
    'role' in body ? `${body.kind} ${body.role}` : body.kind,
  );

test('a unit of which nothing is known: what it is, its control, what was read, where it comes from, what is planned', () => {
  const entries = copyEntries(given);
  expect(kinds({}).slice(0, 6)).toEqual([
    'answer',
    'control new',
    'control old',
    'found',
    'found',
    'copiedFrom',
  ]);
  expect(entries).toContainEqual({
    kind: 'plannedCode',
    code: setpoint,
    value: 2,
    why: 'copied from Left counter',
  });
});

test('a job that is about another control before: that stays, and what was read is not what was found', () => {
  expect(kinds({ hasOld: true })).not.toContain('control old');
  expect(kinds({ hasOld: true })).not.toContain('found');
  expect(kinds({ hasOld: true })).toContain('control new');
  expect(kinds({ hasNew: true }).some((kind) => kind.startsWith('control'))).toBe(false);
});

test('what belongs to the unit is planned as it stands, and settled as read; not where the display turns', () => {
  const about = (entries: ReturnType<typeof copyEntries>) =>
    entries.filter((body) => 'code' in body && body.code === offset && body.kind !== 'found');
  expect(about(copyEntries(given))).toEqual([
    { kind: 'plannedCode', code: offset, value: -1.2, why: 'stays as it stands there' },
    { kind: 'keyed', code: offset, value: -1.2, state: 'keyed', over: 'bus', stood: true },
  ]);
  expect(about(copyEntries({ ...given, told: { unit: 'degF', decimal: true } }))).toEqual([]);
});
