import { isRecord, shown, type Faults } from './fault.ts';

/** Judges `visibleWhen`: its code exists, its values can occur, and no chain of conditions leads back to itself. */
export function checkVisibility(parameters: readonly unknown[], faults: Faults): void {
  const byCode = new Map<string, Readonly<Record<string, unknown>>>();
  for (const p of parameters) if (isRecord(p) && typeof p['code'] === 'string') byCode.set(p['code'], p);
  parameters.forEach((parameter, i) => {
    if (!isRecord(parameter) || parameter['visibleWhen'] === undefined) return;
    const path = `$.parameters[${i}].visibleWhen`;
    const condition = faults.object(path, parameter['visibleWhen']);
    if (!condition) return;
    const master = typeof condition['code'] === 'string' ? byCode.get(condition['code']) : undefined;
    if (!master)
      return faults.add(`${path}.code`, `${shown(condition['code'])} is no code of this definition`);
    checkWanted(`${path}.in`, condition['in'], master, faults);
    const cycle = cycleFrom(String(parameter['code']), byCode);
    if (cycle) faults.add(`${path}.code`, `visibility goes round in a circle: ${cycle.join(' → ')}`);
  });
}

function checkWanted(
  path: string,
  wanted: unknown,
  master: Readonly<Record<string, unknown>>,
  faults: Faults,
): void {
  const values = faults.array(path, wanted);
  if (values.length === 0)
    return faults.add(path, 'expected at least one value, or the parameter is never reached');
  const encoding = master['encoding'];
  if (!isRecord(encoding) || encoding['type'] !== 'choice' || !Array.isArray(encoding['options'])) return;
  const possible = new Set(
    (encoding['options'] as unknown[]).map((o) => (isRecord(o) ? String(o['value']) : '')),
  );
  values.forEach((value, i) => {
    if (!possible.has(String(value)))
      faults.add(
        `${path}[${i}]`,
        `${shown(value)} is no option of ${shown(master['code'])}; expected ${[...possible].join(', ')}`,
      );
  });
}

function cycleFrom(
  start: string,
  byCode: ReadonlyMap<string, Readonly<Record<string, unknown>>>,
): readonly string[] | null {
  const way = [start];
  for (let code = masterOf(start, byCode); code !== undefined; code = masterOf(code, byCode)) {
    way.push(code);
    if (code === start) return way;
    if (way.length > byCode.size) return null; // Another circle, reported at its own members.
  }
  return null;
}

function masterOf(
  code: string,
  byCode: ReadonlyMap<string, Readonly<Record<string, unknown>>>,
): string | undefined {
  const condition = byCode.get(code)?.['visibleWhen'];
  return isRecord(condition) && typeof condition['code'] === 'string' ? condition['code'] : undefined;
}
