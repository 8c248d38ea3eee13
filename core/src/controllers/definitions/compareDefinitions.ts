import type { ControllerDefinition, Parameter } from './definition.ts';

/** One difference between two versions: where, and what stands there before and after (null: not there). */
export interface DefinitionChange {
  readonly kind: 'added' | 'removed' | 'changed';
  /** A code of the control, an alarm, a preset, or a field of the definition. */
  readonly of: 'code' | 'alarm' | 'preset' | 'fixed' | 'panel' | 'other';
  readonly name: string;
  /** The field that differs; empty for something added or removed as a whole. */
  readonly field: string;
  readonly before: unknown;
  readonly after: unknown;
}

/**
 * Every difference between two versions of a definition: codes, alarms, presets and fixed behaviour field by field, the panel and the rest as
 * a whole. Order of codes counts, since it is the menu's. The version number itself and the summary are left out.
 */
export function compareDefinitions(
  before: ControllerDefinition,
  after: ControllerDefinition,
): readonly DefinitionChange[] {
  const order = (d: ControllerDefinition, other: ControllerDefinition) =>
    d.parameters.map((p) => p.code).filter((code) => other.parameters.some((p) => p.code === code));
  const [was, is] = [order(before, after), order(after, before)];
  return [
    ...items('code', byKey(before.parameters, 'code'), byKey(after.parameters, 'code')),
    ...(same(was, is) ? [] : [change('other', 'order of codes', '', was.join(' '), is.join(' '))]),
    ...items('alarm', byKey(before.alarmCodes ?? [], 'code'), byKey(after.alarmCodes ?? [], 'code')),
    ...items('preset', byKey(before.presets ?? [], 'id'), byKey(after.presets ?? [], 'id')),
    ...fields('fixed', 'fixed', before.fixed ?? {}, after.fixed ?? {}),
    ...(same(before.panel, after.panel) ? [] : [change('panel', 'panel', '', before.panel, after.panel)]),
    ...fields('other', 'definition', rest(before), rest(after)),
  ];
}

const apart = new Set([
  'parameters',
  'alarmCodes',
  'presets',
  'fixed',
  'panel',
  'version',
  'summary',
  'format',
]);

function rest(definition: ControllerDefinition): Readonly<Record<string, unknown>> {
  return Object.fromEntries(Object.entries(definition).filter(([key]) => !apart.has(key)));
}

function byKey<Item extends object>(list: readonly Item[], key: keyof Item): ReadonlyMap<string, Item> {
  return new Map(list.map((item) => [String(item[key]), item]));
}

function items(
  of: DefinitionChange['of'],
  before: ReadonlyMap<string, object>,
  after: ReadonlyMap<string, object>,
): readonly DefinitionChange[] {
  const removed = [...before]
    .filter(([name]) => !after.has(name))
    .map(([name, item]) => change(of, name, '', item, null));
  const others = [...after].flatMap(([name, item]) => {
    const old = before.get(name);
    return old ? fields(of, name, flat(old), flat(item)) : [change(of, name, '', null, item)];
  });
  return [...removed, ...others];
}

/** A parameter's encoding is compared field by field, so that a changed default is not told as a changed everything. */
function flat(item: object): Readonly<Record<string, unknown>> {
  const { encoding, ...others } = item as Partial<Parameter>;
  return { ...others, ...(encoding as object | undefined) };
}

function fields(
  of: DefinitionChange['of'],
  name: string,
  before: Readonly<Record<string, unknown>>,
  after: Readonly<Record<string, unknown>>,
): readonly DefinitionChange[] {
  return [...new Set([...Object.keys(before), ...Object.keys(after)])].flatMap((field) =>
    same(before[field], after[field])
      ? []
      : [change(of, name, field, before[field] ?? null, after[field] ?? null)],
  );
}

function change(
  of: DefinitionChange['of'],
  name: string,
  field: string,
  before: unknown,
  after: unknown,
): DefinitionChange {
  const kind =
    before === null || before === undefined
      ? 'added'
      : after === null || after === undefined
        ? 'removed'
        : 'changed';
  return { kind, of, name, field, before: before ?? null, after: after ?? null };
}

function same(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  const keys = new Set([...Object.keys(a), ...Object.keys(b)]);
  return (
    Array.isArray(a) === Array.isArray(b) && [...keys].every((key) => same(a[key as never], b[key as never]))
  );
}
