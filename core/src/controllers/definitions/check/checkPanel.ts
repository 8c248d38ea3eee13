import { checkMenu } from './checkMenu.ts';
import { checkGesture } from './checkGesture.ts';
import { isRecord, shown, type Faults } from './fault.ts';

type Data = Readonly<Record<string, unknown>>;

/** Judges a panel against its grammar (docs/formats/panel.md): every name exists, every menu can be entered, used and left. */
export function checkPanel(definition: Data, codes: ReadonlySet<string>, faults: Faults): void {
  if (definition['panel'] === undefined) return;
  const panel = faults.object('$.panel', definition['panel']);
  if (!panel) return;
  const keys = idsOf('$.panel.keys', panel['keys'], faults);
  if (keys.size === 0) faults.add('$.panel.keys', 'expected at least one key');
  const switches = switchesOf(panel['switches'], faults);
  const menus = faults.array('$.panel.menus', panel['menus']);
  if (menus.length === 0) faults.add('$.panel.menus', 'expected at least one menu');
  const probes = new Set(
    faults.array('$.probes', definition['probes']).map((p) => (isRecord(p) ? p['id'] : undefined)),
  );
  idsOf('$.panel.menus', panel['menus'], faults);
  menus.forEach((raw, i) => {
    const path = `$.panel.menus[${i}]`;
    if (isRecord(raw)) checkMenu(path, raw, { keys, switches, codes, probes }, faults);
  });
  checkBeginnings(menus, faults);
  const deeds = faults.array('$.panel.deeds', panel['deeds']);
  deeds.forEach((raw, i) => {
    const path = `$.panel.deeds[${i}]`;
    const deed = faults.object(path, raw);
    if (!deed) return;
    faults.text(`${path}.does`, deed['does'], 'what the direct action does, such as startDefrost');
    const first = deeds.findIndex((other) => isRecord(other) && other['does'] === deed['does']);
    if (first < i) faults.add(`${path}.does`, `${shown(deed['does'])} is there twice`);
    const steps = faults.array(`${path}.steps`, deed['steps']);
    if (steps.length === 0) faults.add(`${path}.steps`, 'expected at least one step');
    steps.forEach((step, j) => checkGesture(`${path}.steps[${j}]`, step, keys, faults));
    menus.forEach((menu, j) => {
      const first = isRecord(menu) && Array.isArray(menu['enter']) ? (menu['enter'] as unknown[])[0] : null;
      if (isRecord(first) && isRecord(steps[0]) && sameGesture(first, steps[0]))
        faults.add(
          `${path}.steps[0]`,
          `begins as $.panel.menus[${j}] does; the panel could not tell them apart`,
        );
    });
  });
}

function idsOf(path: string, list: unknown, faults: Faults): ReadonlySet<string> {
  const ids = new Set<string>();
  faults.array(path, list).forEach((raw, i) => {
    const item = faults.object(`${path}[${i}]`, raw);
    if (!item || !faults.text(`${path}[${i}].id`, item['id'], 'an id')) return;
    if (ids.has(item['id'])) faults.add(`${path}[${i}].id`, `${item['id']} is there twice`);
    ids.add(item['id']);
  });
  return ids;
}

function switchesOf(list: unknown, faults: Faults): ReadonlyMap<string, readonly unknown[]> {
  idsOf('$.panel.switches', list, faults);
  const found = new Map<string, readonly unknown[]>();
  faults.array('$.panel.switches', list).forEach((raw, i) => {
    if (!isRecord(raw)) return;
    const positions = faults.array(`$.panel.switches[${i}].positions`, raw['positions']);
    if (!positions.includes(raw['normal']))
      faults.add(`$.panel.switches[${i}].normal`, `${shown(raw['normal'])} is none of its positions`);
    found.set(String(raw['id']), positions);
  });
  return found;
}

/** No menu may be entered on the way to another: the longer one would never be reached. */
function checkBeginnings(menus: readonly unknown[], faults: Faults): void {
  const ways = menus.map((m) => (isRecord(m) && Array.isArray(m['enter']) ? (m['enter'] as unknown[]) : []));
  const needs = menus.map((m) => JSON.stringify(isRecord(m) ? (m['needs'] ?? {}) : {}));
  ways.forEach((short, i) =>
    ways.forEach((long, j) => {
      if (i === j || short.length === 0 || short.length > long.length || needs[i] !== needs[j]) return;
      if (short.length === long.length && j < i) return;
      if (short.every((step, k) => JSON.stringify(step) === JSON.stringify(long[k])))
        faults.add(
          `$.panel.menus[${j}].enter`,
          `no key sequence reaches this menu: it begins with all of $.panel.menus[${i}].enter, which opens first`,
        );
    }),
  );
}

function sameGesture(a: Data, b: Data): boolean {
  const keysOf = (g: Data) => JSON.stringify([g['press']].flat().sort());
  return a['press'] !== undefined && keysOf(a) === keysOf(b) && a['seconds'] === b['seconds'];
}
