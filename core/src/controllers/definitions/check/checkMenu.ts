import { checkGesture } from './checkGesture.ts';
import { isRecord, shown, type Faults } from './fault.ts';

type Data = Readonly<Record<string, unknown>>;

/** Judges one menu: every name exists, it can be entered, values can be turned and taken, it can be left. */
export function checkMenu(path: string, menu: Data, known: Known, faults: Faults): void {
  new MenuCheck(path, menu, known, faults).run();
}

/** What a panel and its definition have, for names to be held against. */
export interface Known {
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
    const ask = faults.object(`${path}.ask`, menu['ask'] ?? null);
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
