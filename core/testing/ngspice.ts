import { spawnSync } from 'node:child_process';
import { existsSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { contactEnds } from '../src/wiring/circuit/index.ts';
import { isDirectCurrent } from '../src/wiring/report/index.ts';
import type { Settled } from '../src/wiring/solver/index.ts';

/*
 * Oracle: ngspice, from Debian's packages. The netlist is written here from the circuit file alone, without our network: wires and closed
 * contacts 0.01 Ω, open ones 10 MΩ, supplies behind 0.05 Ω, at 60 Hz or as an operating point. Only which contacts are closed is taken
 * from our answer, since ngspice knows no controls.
 */
const HERTZ = 60;

/** Runs one state through ngspice: node potentials as complex numbers, and the magnitude of each supply's current. */
export function ngspice(
  s: Settled,
  leak = '1e15',
): {
  readonly nodes: ReadonlyMap<string, readonly [number, number]>;
  readonly amps: ReadonlyMap<string, number>;
} {
  const { circuit } = s.network;
  const dc = isDirectCurrent(circuit);
  const names = new Map<string, string>();
  const node = (end: string) => {
    if (!names.has(end)) names.set(end, `n${names.size + 1}`);
    return names.get(end)!;
  };
  const lines: string[] = ['brine dial'];
  let count = 0;
  const resistor = (a: string, b: string, ohms: number) =>
    lines.push(`R${(count += 1)} ${node(a)} ${node(b)} ${ohms}`);
  const contactOhms = (closed: boolean) => (closed ? 0.01 : 10e6);

  for (const [i, supply] of circuit.supplies.entries()) {
    lines.push(
      `V${i} s${i} 0 ${dc ? `DC ${supply.volts}` : `DC 0 AC ${supply.volts} ${supply.degrees ?? 0}`}`,
    );
    lines.push(`R${(count += 1)} s${i} ${node(supply.id)} 0.05`);
  }
  for (const wire of circuit.wires) resistor(wire.from, wire.to, 0.01);
  circuit.parts.forEach((part, index) => {
    const at = (t: string) => `${part.id}.${t}`;
    switch (part.kind) {
      case 'fuse':
        resistor(at('a'), at('b'), contactOhms(!s.blown.some((b) => b.part === index)));
        break;
      case 'switch':
        resistor(
          at('a'),
          at('b'),
          contactOhms(part.closedIn.includes(s.asked.state) && !s.asked.openSwitches?.has(index)),
        );
        break;
      case 'contact': {
        const ends = contactEnds(part);
        if (ends.no) resistor(at(ends.com), at(ends.no), contactOhms(s.driven.has(index)));
        if (ends.nc) resistor(at(ends.com), at(ends.nc), contactOhms(!s.driven.has(index)));
        break;
      }
      case 'contactor':
        resistor(at(part.coil[0]!), at(part.coil[1]!), part.coilOhms);
        for (const [a, b] of part.poles) resistor(at(a!), at(b!), contactOhms(s.contactorIn.has(index)));
        break;
      case 'control':
        resistor(at(part.terminals[0]!), at(part.terminals[1]!), part.ohms);
        break;
      case 'load': {
        const branches =
          part.terminals.length === 3
            ? part.terminals.map((t) => [at(t), `${part.id}*`] as const)
            : [[at(part.terminals[0]!), at(part.terminals[1]!)] as const];
        for (const [a, b] of branches) {
          resistor(a, b, part.ratedVolts ** 2 / part.watts);
          const line =
            part.amps === undefined ? 0 : part.amps * (part.terminals.length === 3 ? Math.sqrt(3) : 1);
          const lag = Math.sqrt(
            Math.max(0, (line / part.ratedVolts) ** 2 - (part.watts / part.ratedVolts ** 2) ** 2),
          );
          if (lag > 0)
            lines.push(`L${(count += 1)} ${node(a)} ${node(b)} ${1 / (2 * Math.PI * HERTZ * lag)}`);
        }
        break;
      }
      case 'transformer': {
        // An ideal transformer from controlled sources, its series resistance on the primary.
        const n = part.ratedVolts / part.secondaryVolts;
        const [h1, h2, x1, x2] = [...part.primary, ...part.secondary].map((t) => node(at(t)));
        lines.push(`R${(count += 1)} ${h1} t${index} ${(0.05 * part.ratedVolts ** 2) / part.va}`);
        lines.push(`VS${index} t${index} u${index} 0`, `E${index} u${index} ${h2} ${x1} ${x2} ${n}`);
        lines.push(`F${index} ${x2} ${x1} VS${index} ${n}`, `R${(count += 1)} ${x2} 0 1e9`);
        break;
      }
      default:
        break;
    }
  });
  // ngspice refuses a node that hangs on nothing: each gets so many ohms, which move no other. Whole islands that hang on nothing need fewer.
  for (const name of names.values()) lines.push(`R${(count += 1)} ${name} 0 ${leak}`);

  const folder = mkdtempSync(join(tmpdir(), 'brine-spice-'));
  try {
    const file = join(folder, 'out.txt');
    const vectors = [
      ...[...names.values()].flatMap((n) => (dc ? [`v(${n})`] : [`vr(${n})`, `vi(${n})`])),
      ...circuit.supplies.flatMap((_, i) =>
        dc ? [`i(v${i})`] : [`real(v${i}#branch)`, `imag(v${i}#branch)`],
      ),
    ];
    const run = [
      '.options gmin=1e-15 reltol=1e-9 abstol=1e-15',
      '.control',
      'set numdgt=12',
      'set wr_singlescale',
      dc ? 'op' : `ac lin 1 ${HERTZ} ${HERTZ}`,
      `wrdata ${file} ${vectors.join(' ')}`,
      'quit',
      '.endc',
      '.end',
    ];
    const deck = join(folder, 'deck.cir');
    writeFileSync(deck, [...lines, ...run].join('\n'));
    const program = process.env['BRINE_NGSPICE'] ?? 'ngspice';
    const libraries = process.env['BRINE_NGSPICE_LIBRARIES'];
    const result = spawnSync(program, ['-b', deck], {
      encoding: 'utf8',
      env: { ...process.env, ...(libraries ? { LD_LIBRARY_PATH: libraries } : {}) },
    });
    if (result.error) throw new Error(`ngspice is missing; bin/test brings it: ${result.error.message}`);
    if (!existsSync(file))
      throw new Error(`ngspice: ${result.stderr}\n${result.stdout}\n${lines.join('\n')}`);
    const numbers = readFileSync(file, 'utf8').trim().split(/\s+/).map(Number).slice(1);
    const width = dc ? 1 : 2;
    const values = vectors.length / width;
    const pairs = Array.from({ length: values }, (_, i): [number, number] =>
      dc ? [numbers[i]!, 0] : [numbers[2 * i]!, numbers[2 * i + 1]!],
    );
    return {
      nodes: new Map([...names.keys()].map((end, i) => [end, pairs[i]!])),
      amps: new Map(circuit.supplies.map((supply, i) => [supply.id, Math.hypot(...pairs[names.size + i]!)])),
    };
  } finally {
    rmSync(folder, { recursive: true, force: true });
  }
}
