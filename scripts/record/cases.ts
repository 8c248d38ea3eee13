// The cases of the recording: every command over the examples, the demo's sheets and families, and seeded circuits, traces and
// keystroke plans. The same seed makes the same cases, so that two checkouts can be held against each other.
import { mkdirSync, readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { templateIds } from '@brine/core/machines/box';
import { seeded } from '../../core/testing/seeded.ts';

/** One command line of the recording. */
export interface RecordCase {
  readonly name: string;
  readonly argv: readonly string[];
}

// Loose on purpose: cases are made from JSON of several formats, and the reader of each refuses what is wrong.
// eslint-disable-next-line @typescript-eslint/no-explicit-any
type Json = Record<string, any>;

const SEEDED_RUNS = 200;

/**
 * Writes the inputs of every case below `folder` and returns the cases. `source` is the checkout whose demo and examples are used: when
 * two checkouts are compared both run on the inputs of the first.
 */
export function makeCases(source: string, folder: string): readonly RecordCase[] {
  mkdirSync(folder, { recursive: true });
  const cases: RecordCase[] = [];
  const add = (name: string, ...argv: string[]) => void cases.push({ name, argv });
  const write = (name: string, content: unknown): string => {
    const path = join(folder, name);
    writeFileSync(path, typeof content === 'string' ? content : JSON.stringify(content));
    return path;
  };
  const json = (path: string) => JSON.parse(readFileSync(path, 'utf8')) as Json;
  const example = (path: string) => join(source, 'docs/formats/examples', path);
  const families = readdirSync(join(source, 'demo/controllers'))
    .sort()
    .map((file) => ({
      id: file.replace('.controller.json', ''),
      path: join(source, 'demo/controllers', file),
    }));

  add('settings', 'settings');
  add('settings csv', 'settings', '--csv');
  for (const { id, path } of families) add(`controller check ${id}`, 'controller', 'check', path);
  add(
    'suggest',
    'controller',
    'suggest',
    example('peat-6.table.tsv'),
    '--family',
    'Peat 6',
    '--panel',
    'holdList',
  );

  const random = seeded(14);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const sheets = families.map((family) => {
    const definition = json(family.path);
    const rows = (definition['parameters'] as Json[]).map(
      (row) => `${row['code']},${valueOf(row, pick, random)}`,
    );
    const sheet = write(`${family.id}.sheet.csv`, ['code,value', ...rows].join('\n') + '\n');
    return { ...family, sheet, definition };
  });
  for (const { id, path, sheet } of sheets)
    add(`decode ${id}`, 'decode', '--controller', path, '--sheet', sheet);
  for (const from of sheets)
    for (const to of families)
      add(
        `translate ${from.id} ${to.id}`,
        'translate',
        '--from',
        from.path,
        '--sheet',
        from.sheet,
        '--to',
        to.path,
      );
  add(
    'translate example',
    'translate',
    '--from',
    example('translate/from.controller.json'),
    '--sheet',
    example('translate/from.sheet.csv'),
    '--to',
    example('translate/to.controller.json'),
  );
  const shippedSheet = example('gault-p.sheet.csv');
  for (const to of families)
    add(
      `translate the shipped sheet ${to.id}`,
      'translate',
      '--from',
      join(source, 'demo/controllers/gault-p.controller.json'),
      '--sheet',
      shippedSheet,
      '--to',
      to.path,
    );
  for (let n = 0; n < SEEDED_RUNS; n += 1) {
    const family = pick(sheets);
    const rows = family.definition['parameters'] as Json[];
    const set = Array.from({ length: 1 + Math.floor(random() * 5) }, () => pick(rows)).map(
      (row) => `${row['code']}=${valueOf(row, pick, random)}`,
    );
    add(`keys ${n} ${family.id}`, 'keys', '--controller', family.path, '--set', ...new Set(set));
  }
  add('keys example', 'keys', '--controller', example('keys/01.controller.json'), '--set', 'hy=3');
  for (const deed of ['startDefrost', 'clearAlarm', 'lockKeys', 'toggleLight', 'switchOff'])
    for (const { id, path } of families)
      add(`keys --do ${deed} ${id}`, 'keys', '--controller', path, '--do', deed);

  units(json(example('fish-store.unit.json')), random, pick).forEach((unit, n) => {
    const path = write(`unit-${n}.unit.json`, unit);
    add(`plan ${n}`, 'plan', path);
    if (n % 4 === 0) add(`fit ${n}`, 'fit', '--unit', path);
    if (n % 2 === 0) add(`check ${n}`, 'check', example('freezer.settings.json'), '--unit', path);
  });
  add('plan example', 'plan', example('fish-store.unit.json'));
  add('fit example', 'fit', '--unit', example('fish-store.unit.json'));
  add('check example', 'check', example('freezer.settings.json'));

  const circuit = json(example('wire/reach-in.circuit.json'));
  const readings = json(example('wire/reach-in.readings.json'));
  add('wire example', 'wire', example('wire/reach-in.circuit.json'));
  add(
    'diagnose example',
    'diagnose',
    example('wire/reach-in.circuit.json'),
    '--readings',
    example('wire/reach-in.readings.json'),
  );
  for (let n = 0; n < SEEDED_RUNS; n += 1) {
    const path = write(`circuit-${n}.circuit.json`, changedCircuit(circuit, random, pick));
    add(`wire ${n}`, 'wire', path);
    if (n % 4 === 0) {
      const meter = write(`circuit-${n}.readings.json`, changedReadings(readings, random, pick));
      add(`diagnose ${n}`, 'diagnose', path, '--readings', meter);
    }
  }

  const cooler = json(example('replay/cooler.settings.json'));
  add(
    'replay example',
    'replay',
    '--settings',
    example('replay/cooler.settings.json'),
    '--trace',
    example('replay/cooler.log.csv'),
  );
  for (let n = 0; n < SEEDED_RUNS; n += 1) {
    const settings = write(`trace-${n}.settings.json`, changedSettings(cooler, random, pick));
    const trace = write(`trace-${n}.log.csv`, aTrace(random));
    add(`replay ${n}`, 'replay', '--settings', settings, '--trace', trace);
    if (n % 8 === 0) {
      add(`analyse ${n}`, 'analyse', trace, '--settings', settings);
      add(`check settings ${n}`, 'check', settings);
    }
  }
  const scenario = json(example('fish-freezer.scenario.json'));
  add('simulate example', 'simulate', example('fish-freezer.scenario.json'));
  add('simulate csv', 'simulate', example('fish-freezer.scenario.json'), '--csv');
  // A transport unit came later: the recordings of before have none.
  const templates = templateIds.filter((id) => id !== 'transportUnit');
  for (const template of templates)
    for (const doorUse of ['seldom', 'normal', 'busy']) {
      const changed = {
        ...scenario,
        doorUse,
        plant: { ...(scenario['plant'] as Json), template },
        hours: 24,
      };
      add(
        `simulate ${template} ${doorUse}`,
        'simulate',
        write(`simulate-${template}-${doorUse}.scenario.json`, changed),
      );
    }
  add('sweep', 'sweep', example('fish-freezer.scenario.json'), '--vary', 'defrost.endTemperature=4C..16C/4K');

  add('analyse example', 'analyse', example('prove/cooler.log.csv'));
  for (const log of readdirSync(join(source, 'demo/logs')).sort())
    add(`analyse ${log}`, 'analyse', join(source, 'demo/logs', log));
  add('calibrate', 'probe', 'calibrate', example('prove/points.csv'));
  add(
    'calibrate with an offset',
    'probe',
    'calibrate',
    example('prove/points.csv'),
    '--existing-offset',
    '0.9dF',
  );
  for (const [ohms, at] of [
    ['9.0k', '27C'],
    ['2.2k', '25C'],
    ['1000', '0C'],
    ['32.65k', '0C'],
    ['815', '0C'],
    ['5.0k', '77F'],
  ] as const)
    add(`identify ${ohms} ${at}`, 'probe', 'identify', '--ohms', ohms, '--at', at);
  for (const type of ['ntc10k', 'ntc2k', 'ntc5k', 'ptc1k', 'pt100', 'pt1000']) {
    add(`curve ${type}`, 'probe', 'curve', '--type', type);
    add(`curve ${type} at 0`, 'probe', 'curve', '--type', type, '--at', '0C');
  }
  add(
    'tag',
    'probe',
    'tag',
    '--slope',
    '1.0079',
    '--offset',
    '0.31',
    '--slope-range',
    '9.5..10.5',
    '--offset-range',
    '0.1..0.6',
  );
  for (const refrigerant of ['R-134a', 'R-404A', 'R-290', 'R-744', 'R-449A', 'R-410A', 'R-407C'])
    for (const at of ['-30C', '0C', '25C', '95F'])
      add(`saturation ${refrigerant} ${at}`, 'saturation', refrigerant, '--at', at);
  for (const phases of ['1', '3'])
    add(`amps ${phases}`, 'amps', '--watts', '1800', '--volts', '240', '--phases', phases);
  return cases;
}

type Pick = <T>(list: readonly T[]) => T;

/** A value that the row can show, mostly; now and then one it cannot, which must be refused with a sentence. */
function valueOf(row: Json, pick: Pick, random: () => number): string {
  const encoding = row['encoding'] as Json;
  if (encoding['type'] === 'number') {
    const step = typeof encoding['resolution'] === 'number' ? encoding['resolution'] : 1;
    const steps = Math.floor(((encoding['max'] as number) - (encoding['min'] as number)) / step);
    const value = (encoding['min'] as number) + Math.floor(random() * (steps + 1)) * step;
    return String(Number(value.toFixed(4)));
  }
  const shown = ((encoding['options'] ?? []) as readonly Json[]).map((option) => option['value']);
  return shown.length > 0 ? String(pick(shown)) : String(encoding['default'] ?? 0);
}

function units(example: Json, random: () => number, pick: Pick): readonly Json[] {
  const applications: Readonly<Record<string, readonly string[]>> = {
    walkInCooler: ['chilledFood', 'freshFish', 'freshMeat', 'dairy', 'produce', 'drinks', 'flowers'],
    walkInFreezer: ['frozenFood', 'frozenFish', 'iceCream', 'ice'],
    reachInRefrigerator: ['chilledFood', 'dairy', 'drinks'],
    reachInFreezer: ['frozenFood', 'iceCream'],
    merchandiser: ['chilledFood', 'drinks', 'produce'],
    iceCreamCabinet: ['iceCream'],
    cellar: ['cellaredDrinks', 'ripeningCheese'],
    chilledWaterTank: ['liveShellfish', 'drinks'],
    vehicleFridge: ['chilledFood', 'frozenFood'],
    pharmacyRefrigerator: ['medicine'],
    hotCupboard: ['hotFood'],
    transportUnit: ['frozenFood', 'chilledFood'],
    condenserFans: ['nothing'],
    heatMeter: ['nothing'],
  };
  return Object.entries(applications).flatMap(([application, goods]) =>
    goods.map((kept) => ({
      ...example,
      name: `${application} ${kept}`,
      application,
      goods: kept,
      defrostMethod: pick(['none', 'offCycle', 'electric', 'hotGas']),
      probes: pick([['air'], ['air', 'coil'], ['air', 'coil', 'product']]),
      compressor: pick(['direct', 'rackSolenoid']),
      ambient: { value: 60 + Math.floor(random() * 40), unit: 'degF' },
      doorUse: pick(['seldom', 'normal', 'busy']),
      displayUnit: pick(['celsius', 'fahrenheit']),
    })),
  );
}

/** One to three wires gone or moved, a relay weaker, a part of other size. */
function changedCircuit(circuit: Json, random: () => number, pick: Pick): Json {
  const wires = (circuit['wires'] as Json[]).map((wire) => ({ ...wire }));
  const parts = (circuit['parts'] as Json[]).map((part) => ({ ...part }));
  for (let n = 0; n <= Math.floor(random() * 3); n += 1) {
    const at = Math.floor(random() * wires.length);
    if (random() < 0.4) wires.splice(at, 1);
    else {
      const other = pick(circuit['wires'] as Json[]);
      wires[at] = { ...wires[at], to: (random() < 0.5 ? other['from'] : other['to']) as never };
    }
  }
  const load = pick(parts.filter((part) => part['kind'] === 'load'));
  if (random() < 0.5) load['watts'] = Math.round((load['watts'] as number) * (0.5 + 2 * random())) as never;
  const relay = pick(parts.filter((part) => part['ratings'] !== undefined));
  if (random() < 0.3)
    relay['ratings'] = { resistiveAmps: 5, motorFullLoadAmps: 2, motorLockedRotorAmps: 10 } as never;
  return { ...circuit, parts, wires } as unknown as Json;
}

function changedReadings(readings: Json, random: () => number, pick: Pick): Json {
  const changed = (readings['readings'] as Json[]).map((reading) => ({
    ...reading,
    reads: { ...(reading['reads'] as Json), value: pick([0, 0.1, 60, 119.4, Math.round(random() * 120)]) },
  }));
  return { ...readings, readings: changed } as unknown as Json;
}

function changedSettings(settings: Json, random: () => number, pick: Pick): Json {
  const chance = (share: number) => random() < share;
  const values: Record<string, unknown> = {
    ...(settings['values'] as Json),
    'regulation.setpoint': { value: Math.round(30 + random() * 15), unit: 'degF' },
    'regulation.differential': { value: 1 + Math.round(random() * 6), unit: 'deltaF' },
    'compressor.minOffTime': { value: Math.round(random() * 6), unit: 'min' },
  };
  if (chance(0.5))
    Object.assign(values, {
      'defrost.method': pick(['electric', 'offCycle', 'hotGas']),
      'defrost.interval': { value: 1 + Math.round(random() * 3), unit: 'h' },
      'defrost.maxDuration': { value: 10 + Math.round(random() * 30), unit: 'min' },
      'defrost.drainTime': { value: Math.round(random() * 5), unit: 'min' },
    });
  if (chance(0.4))
    Object.assign(values, { 'compressor.minRunTime': { value: Math.round(random() * 5), unit: 'min' } });
  if (chance(0.4))
    Object.assign(values, {
      'fans.whileCompressorOff': pick(['run', 'stop']),
      'fans.whileDefrost': pick(['run', 'stop']),
    });
  if (chance(0.4)) Object.assign(values, { 'compressor.onProbeFault': pick(['off', 'on', 'dutyCycle']) });
  return { ...settings, values } as unknown as Json;
}

/** Four to eight hours of air every two minutes or so, with a door, a fault of the probe and a power cut now and then. */
function aTrace(random: () => number): string {
  const rows = ['time,air_degF,door'];
  let air = 36 + random() * 6;
  let time = 0;
  const end = 4 * 3600 + Math.floor(random() * 4 * 3600);
  while (time < end) {
    const door = random() < 0.05 ? 1 : 0;
    air += (random() - 0.48) * 1.5 + door * 2;
    rows.push(`${time},${random() < 0.01 ? '' : air.toFixed(1)},${door}`);
    time += 60 + Math.floor(random() * 120);
  }
  return rows.join('\n') + '\n';
}
