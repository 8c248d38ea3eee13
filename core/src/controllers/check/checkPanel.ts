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
    if (isRecord(raw)) new MenuCheck(path, raw, { keys, switches, codes, probes }, faults).run();
  });
  checkBeginnings(menus, faults);
  faults.array('$.panel.deeds', panel['deeds']).forEach((raw, i) => {
    const path = `$.panel.deeds[${i}]`;
    const deed = faults.object(path, raw);
    if (!deed) return;
    faults.text(`${path}.does`, deed['does'], 'what the deed does, such as startDefrost');
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

interface Known {
  readonly keys: ReadonlySet<string>;
  readonly switches: ReadonlyMap<string, readonly unknown[]>;
  readonly codes: ReadonlySet<string>;
  readonly probes: ReadonlySet<unknown>;
}

class MenuCheck {
  private readonly path: string;
  private readonly menu: Data;
  private readonly known: Known;
  private readonly faults: Faults;

  constructor(path: string, menu: Data, known: Known, faults: Faults) {
    this.path = path;
    this.menu = menu;
    this.known = known;
    this.faults = faults;
  }

  run(): void {
    const { menu, path, faults, known } = this;
    for (const [id, position] of Object.entries<unknown>(isRecord(menu['needs']) ? menu['needs'] : {}))
      if (!known.switches.get(id)?.includes(position))
        faults.add(`${path}.needs.${id}`, `no switch ${id} with a position ${shown(position)}`);
    this.enter();
    faults.array(`${path}.codes`, menu['codes']).forEach((code, i) => {
      if (!known.codes.has(String(code)))
        faults.add(`${path}.codes[${i}]`, `${shown(code)} is no code of this definition`);
    });
    this.senses();
    this.moves();
    this.edit();
    this.closing();
  }

  private enter(): void {
    const steps = this.faults.array(`${this.path}.enter`, this.menu['enter']);
    if (steps.length === 0)
      this.faults.add(
        `${this.path}.enter`,
        'expected at least one step, or no key sequence reaches this menu',
      );
    steps.forEach((raw, i) => {
      const path = `${this.path}.enter[${i}]`;
      if (!isRecord(raw) || raw['code'] === undefined)
        return checkGesture(path, raw, this.known.keys, this.faults);
      if (typeof raw['code'] !== 'string' || !/^\d+$/.test(raw['code']))
        this.faults.add(`${path}.code`, `expected digits as text, found ${shown(raw['code'])}`);
      if (raw['by'] !== 'count' && raw['by'] !== 'digits')
        this.faults.add(`${path}.by`, `expected count or digits, found ${shown(raw['by'])}`);
      for (const part of ['more', 'less', 'right', 'take']) this.key(`${path}.${part}`, raw[part]);
      if (raw['take'] === undefined) this.faults.add(`${path}.take`, 'expected the key that takes the code');
      if (raw['more'] === undefined && raw['less'] === undefined)
        this.faults.add(`${path}.more`, 'expected a key that turns the code, or it cannot be typed');
      if (raw['by'] === 'digits' && raw['right'] === undefined && String(raw['code']).length > 1)
        this.faults.add(`${path}.right`, 'expected the key that goes to the next digit');
    });
  }

  private senses(): void {
    const senses = this.menu['senses'];
    if (senses === undefined || !isRecord(senses)) return;
    this.faults.number(`${this.path}.senses.seconds`, senses['seconds'], 'how long it senses, seconds');
    this.faults.array(`${this.path}.senses.sets`, senses['sets']).forEach((raw, i) => {
      const path = `${this.path}.senses.sets[${i}]`;
      const set = this.faults.object(path, raw);
      if (!set) return;
      if (!this.known.codes.has(String(set['code'])))
        this.faults.add(`${path}.code`, `${shown(set['code'])} is no code of this definition`);
      if (!this.known.probes.has(set['probe']))
        this.faults.add(`${path}.probe`, `${shown(set['probe'])} is no probe of this definition`);
    });
  }

  private moves(): void {
    const move = this.part('move');
    for (const part of ['next', 'previous', 'open', 'back'])
      this.key(`${this.path}.move.${part}`, move[part]);
    if (this.menu['layout'] === 'path' && move['open'] === undefined)
      this.faults.add(`${this.path}.move.open`, 'expected a key that opens a folder');
  }

  private edit(): void {
    const path = `${this.path}.edit`;
    const [edit, move] = [this.part('edit'), this.part('move')];
    for (const part of ['more', 'less', 'right', 'left', 'holding']) this.key(`${path}.${part}`, edit[part]);
    const starts = edit['starts'] ?? 'open';
    const take = edit['take'];
    if (edit['more'] === undefined && edit['less'] === undefined)
      this.faults.add(`${path}.more`, 'expected a key that turns the value');
    if (starts === 'open' && move['open'] === undefined)
      this.faults.add(`${this.path}.move.open`, 'expected the key that opens a value; the edit starts by it');
    if (starts === 'holding' && edit['holding'] === undefined)
      this.faults.add(`${path}.holding`, 'expected the key that is held while a value is turned');
    if (take === undefined) this.faults.add(`${path}.take`, 'expected a key, release or move');
    else if (take === 'release' && starts !== 'holding')
      this.faults.add(`${path}.take`, 'release is possible only where the edit starts by holding');
    else if (take !== 'release' && take !== 'move') this.key(`${path}.take`, take);
    if (starts !== 'atOnce') return;
    const turns: readonly unknown[] = ['more', 'less', 'right', 'left'].flatMap((p) => edit[p] ?? []);
    for (const part of ['next', 'previous', 'open', 'back'])
      if (turns.includes(move[part]))
        this.faults.add(`${this.path}.move.${part}`, `${shown(move[part])} both moves and turns the value`);
  }

  private closing(): void {
    const { menu, path, faults } = this;
    const move = this.part('move');
    const ways: unknown[] = [];
    faults.array(`${path}.leave`, menu['leave']).forEach((raw, i) => {
      if (isRecord(raw) && raw['power'] === undefined)
        checkGesture(`${path}.leave[${i}]`, raw, this.known.keys, faults);
      ways.push(isRecord(raw) ? (raw['then'] ?? 'save') : undefined);
    });
    for (const part of ['end', 'backAtRoot'])
      if (['save', 'discard', 'ask'].includes(move[part] as string)) ways.push(move[part]);
    const timeOut = menu['timeOut'];
    if (timeOut !== undefined) {
      const rule = faults.object(`${path}.timeOut`, timeOut);
      if (rule) faults.number(`${path}.timeOut.seconds`, rule['seconds'], 'seconds until it closes');
      ways.push(rule?.['keeps'] === 'nothing' ? 'discard' : 'save');
    }
    if (ways.length === 0)
      faults.add(`${path}.leave`, 'expected a way back to rest: leave, move.end, move.backAtRoot or timeOut');
    else if (menu['stores'] === 'leaving' && !ways.some((way) => way === 'save' || way === 'ask'))
      faults.add(`${path}.leave`, 'values are stored on leaving, and no way out saves them');
    if (!ways.includes('ask')) return;
    const ask = faults.object(`${path}.ask`, (menu['ask'] ?? null) as unknown);
    for (const part of ['yes', 'no'])
      if (ask && ask[part] === undefined) faults.add(`${path}.ask.${part}`, 'expected the key of the answer');
      else if (ask) this.key(`${path}.ask.${part}`, ask[part]);
  }

  private part(name: string): Data {
    const value = this.menu[name];
    return isRecord(value) ? value : {};
  }

  private key(path: string, key: unknown): void {
    if (key !== undefined && !this.known.keys.has(key as string))
      this.faults.add(path, `${shown(key)} is no key of this panel`);
  }
}

function idsOf(path: string, list: unknown, faults: Faults): ReadonlySet<string> {
  const ids = new Set<string>();
  faults.array(path, list).forEach((raw, i) => {
    const item = faults.object(`${path}[${i}]`, raw);
    if (!item || !faults.text(`${path}[${i}].id`, item['id'], 'an id')) return;
    if (ids.has(item['id'])) faults.add(`${path}[${i}].id`, `${item['id']} stands there twice`);
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

function checkGesture(path: string, raw: unknown, keys: ReadonlySet<string>, faults: Faults): void {
  const gesture = faults.object(path, raw);
  if (!gesture) return;
  const { press, seconds } = gesture;
  if (press === undefined) return faults.add(`${path}.press`, 'expected a key, a list of keys, or any');
  for (const key of press === 'any' ? [] : [press].flat())
    if (!keys.has(key as string)) faults.add(`${path}.press`, `${shown(key)} is no key of this panel`);
  if (seconds !== undefined) faults.number(`${path}.seconds`, seconds, 'how long it is held, seconds');
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
