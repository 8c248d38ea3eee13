import { isRecord, shown, type Faults } from './fault.ts';

/** What a relay or an analog output may drive. */
export const controlOutputs = ['compressor', 'defrost', 'fan', 'stage2', 'alarm', 'condenserFan'];
const sensorTypes = ['ntc10k', 'ptc1k', 'pt1000', 'pt100'];

/** Judges supplies, relays, probes, inputs, the cut-out, alarm codes and bus registers. */
export function checkHardware(
  definition: Readonly<Record<string, unknown>>,
  codes: ReadonlySet<string>,
  faults: Faults,
): void {
  faults.array('$.supply', definition['supply']).forEach((raw, i) => {
    const supply = faults.object(`$.supply[${i}]`, raw);
    if (supply && supply['kind'] !== 'ac' && supply['kind'] !== 'dc')
      faults.add(`$.supply[${i}].kind`, `expected ac or dc, found ${shown(supply['kind'])}`);
  });
  named('$.relays', definition['relays'], faults, (relay, path) =>
    oneOf(`${path}.drives`, relay['drives'], controlOutputs, faults),
  );
  named('$.analogOutputs', definition['analogOutputs'], faults, (output, path) =>
    oneOf(`${path}.drives`, output['drives'], controlOutputs, faults),
  );
  named('$.probes', definition['probes'], faults, (probe, path) => {
    faults.text(`${path}.role`, probe['role'], 'what the probe feels, such as air or coil');
    faults
      .array(`${path}.types`, probe['types'])
      .forEach((type, i) => oneOf(`${path}.types[${i}]`, type, sensorTypes, faults));
  });
  named('$.inputs', definition['inputs'], faults, () => undefined);
  checkCutOut(definition['cutOut'], faults);
  checkAlarmCodes(definition['alarmCodes'], faults);
  const bus = definition['bus'];
  if (!isRecord(bus)) return;
  faults.array('$.bus.registers', bus['registers']).forEach((raw, i) => {
    const register = faults.object(`$.bus.registers[${i}]`, raw);
    if (register && !codes.has(String(register['code'])))
      faults.add(`$.bus.registers[${i}].code`, `${shown(register['code'])} is no code of this definition`);
  });
}

function checkCutOut(raw: unknown, faults: Faults): void {
  if (raw === undefined) return;
  const cutOut = faults.object('$.cutOut', raw);
  if (!cutOut) return;
  for (const side of ['widthMm', 'heightMm'] as const) {
    const path = `$.cutOut.${side}`;
    const length = cutOut[side];
    if (faults.number(path, length, 'the hole in the panel, mm') && length <= 0)
      faults.add(path, `expected more than 0 mm, found ${length}`);
  }
}

function named(
  path: string,
  list: unknown,
  faults: Faults,
  check: (item: Readonly<Record<string, unknown>>, path: string) => void,
): void {
  const ids = new Set<unknown>();
  faults.array(path, list).forEach((raw, i) => {
    const at = `${path}[${i}]`;
    const item = faults.object(at, raw);
    if (!item) return;
    if (faults.text(`${at}.id`, item['id'], 'an id') && ids.has(item['id']))
      faults.add(`${at}.id`, `${item['id']} is there twice`);
    ids.add(item['id']);
    check(item, at);
  });
}

function oneOf(path: string, value: unknown, allowed: readonly string[], faults: Faults): void {
  if (!allowed.includes(value as string))
    faults.add(path, `${shown(value)} is unknown; expected one of ${allowed.join(', ')}`);
}

function checkAlarmCodes(list: unknown, faults: Faults): void {
  const seen = new Set<string>();
  faults.array('$.alarmCodes', list).forEach((raw, i) => {
    const path = `$.alarmCodes[${i}]`;
    const alarm = faults.object(path, raw);
    if (!alarm) return;
    if (faults.text(`${path}.code`, alarm['code'], 'the code as the display shows it')) {
      if (seen.has(alarm['code'])) faults.add(`${path}.code`, `the alarm ${alarm['code']} is there twice`);
      seen.add(alarm['code']);
    }
    faults.text(`${path}.means`, alarm['means'], 'what the alarm means');
    oneOf(`${path}.severity`, alarm['severity'], ['check', 'shutdown'], faults);
  });
}
