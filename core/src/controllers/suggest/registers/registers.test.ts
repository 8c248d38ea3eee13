import { describe, expect, test } from '@jest/globals';
import { readDefinition, type ControllerDefinition, type Register } from '../../definitions/index.ts';
import { family } from '../../../../testing/families.ts';
import { draftRegisters, noRegisters, readAddress, readFunctions, wireAddress } from './index.ts';
import { readAccess, readScale, readType, readUnit } from './cells.ts';

const skerry = family('skerry-dx');
const written = (text: string, more: object = {}) => ({ ...noRegisters, text, ...more });
/** Without what a booklet's table does not print. */
const printable = ({ unlock: _u, absent: _a, order: _o, ...register }: Register) => register;

describe('cells', () => {
  test.each([
    ['17', { form: 'plain', number: 17, table: null, words: 1 }],
    ['0x0011', { form: 'plain', number: 17, table: null, words: 1 }],
    ['11h', { form: 'plain', number: 17, table: null, words: 1 }],
    ['40018', { form: 'numbered', number: 18, table: 3, words: 1 }],
    ['400018', { form: 'numbered', number: 18, table: 3, words: 1 }],
    ['30018', { form: 'numbered', number: 18, table: 4, words: 1 }],
    ['10018', { form: 'numbered', number: 18, table: 2, words: 1 }],
    ['00018', { form: 'numbered', number: 18, table: 1, words: 1 }],
    ['4x0018', { form: 'numbered', number: 18, table: 3, words: 1 }],
    ['17-18', { form: 'plain', number: 17, table: null, words: 2 }],
    ['40017 / 40018', { form: 'numbered', number: 17, table: 3, words: 2 }],
  ])('address %s', (cell, expected) => expect(readAddress(cell)).toEqual(expected));

  test.each(['', 'SP', '17.3', '-4', '17-40', '123456789'])('no address: %j', (cell) =>
    expect(readAddress(cell)).toBeNull(),
  );

  test('40018 counts from 1, a plain 17 goes over the wire as it stands (common practice)', () => {
    expect(wireAddress(readAddress('40018')!, 'usual')).toBe(17);
    expect(wireAddress(readAddress('17')!, 'usual')).toBe(17);
    expect(wireAddress(readAddress('17')!, 'fromOne')).toBe(16);
    expect(wireAddress(readAddress('40018')!, 'fromZero')).toBe(18);
  });

  // The functions are those of the Modbus Application Protocol V1.1b3, 6.
  test.each([
    ['03', { table: 3, writes: null }],
    ['3/6', { table: 3, writes: 'one' }],
    ['3, 6, 16', { table: 3, writes: 'one' }],
    ['0x03 / 0x10', { table: 3, writes: 'many' }],
    ['FC1, FC5', { table: 1, writes: 'one' }],
    ['Holding register', { table: 3, writes: null }],
    ['Input register', { table: 4, writes: null }],
    ['coil', { table: 1, writes: null }],
    ['discrete input', { table: 2, writes: null }],
    ['4', { table: 4, writes: null }],
  ])('functions %s', (cell, expected) => expect(readFunctions(cell)).toEqual(expected));
  test.each(['', 'starts the compressor', '3/7', '43'])('no functions: %j', (cell) =>
    expect(readFunctions(cell)).toBeNull(),
  );

  test.each([
    ['INT16', 'int16'],
    ['signed', 'int16'],
    ['S16', 'int16'],
    ['word', 'uint16'],
    ['unsigned int', 'uint16'],
    ['U16', 'uint16'],
    ['int32', 'int32'],
    ['signed long', 'int32'],
    ['unsigned long', 'uint32'],
    ['dword', 'uint32'],
    ['float', 'float32'],
    ['Bool', 'bit'],
  ])('type %s', (cell, type) => expect(readType(cell)?.type).toBe(type));

  test.each([
    ['0.1', 10],
    ['0,01', 100],
    ['x10', 10],
    ['1/10', 10],
    ['÷10', 10],
    ['*100', 100],
    ['10^-1', 10],
    ['1', 1],
  ])('scale %s', (cell, scale) => expect(readScale(cell)).toBe(scale));
  test('decimals are powers of ten', () =>
    expect([0, 1, 2].map((n) => readScale(String(n), true))).toEqual([1, 10, 100]));

  test.each([
    ['°C', 'degC', null],
    ['0.1 °C', 'degC', 10],
    ['°C x10', 'degC', 10],
    ['°F/10', 'degF', 10],
    ['min', 'min', null],
    ['°C/°F', 'display', null],
    ['K', 'degC', null],
    ['bananas', null, null],
  ])('unit %s', (cell, unit, scale) => expect(readUnit(cell)).toEqual({ unit, scale }));

  test.each([
    ['R/W', true],
    ['RW', true],
    ['read/write', true],
    ['RO', false],
    ['Read only', false],
    ['', null],
  ])('access %j', (cell, is) => expect(readAccess(cell)).toBe(is));
});

/** Booklets' ways of printing the same table: written apart from what reads it. */
const numbered: Readonly<Record<number, (address: number) => string>> = {
  1: (a) => String(a + 1).padStart(5, '0'),
  2: (a) => `1${String(a + 1).padStart(4, '0')}`,
  3: (a) => `4${String(a + 1).padStart(4, '0')}`,
  4: (a) => `3${String(a + 1).padStart(4, '0')}`,
};
const words: Readonly<Record<string, string>> = {
  air: 'Air temperature',
  coil: 'Evaporator temperature',
  phase: 'Phase of the control',
  compressor: 'Compressor output',
  fan: 'Fan output',
  defrost: 'Defrost output',
  alarm: 'Alarm active',
};
const named = ({ code, reading }: Register, { parameters }: ControllerDefinition) =>
  reading ? words[reading]! : parameters.find((one) => one.code === code)!.name;
const styles: readonly (readonly [
  string,
  (registers: readonly Register[]) => string,
  'usual' | 'fromZero',
])[] = [
  [
    'tabs, 4xxxx',
    (all) =>
      [
        'Register\tCode\tDescription\tType\tScale\tUnit\tR/W',
        ...all.map((r) =>
          [
            numbered[r.function]!(r.address),
            r.code ?? '',
            named(r, skerry),
            r.type === 'bit' ? 'bool' : r.type.toUpperCase(),
            r.scale === 10 ? '0.1' : '1',
            r.unit === 'degC' ? '°C' : '',
            r.writable ? 'R/W' : 'R',
          ].join('\t'),
        ),
      ].join('\n'),
    'usual',
  ],
  [
    'semicolons, functions and hexadecimal, words before codes',
    (all) =>
      [
        'Function;Address (hex);Meaning;Parameter code;Format;Factor;Unit;Access',
        ...all.map((r) =>
          [
            r.function === 3 && r.writable ? '03, 06' : `0${r.function}`,
            `0x${r.address.toString(16).padStart(4, '0')}`,
            named(r, skerry),
            r.code ?? '',
            r.type === 'int16' ? 'signed' : r.type === 'uint16' ? 'unsigned' : 'bit',
            r.scale === 10 ? 'x10' : '',
            r.unit === 'degC' ? '°C' : '',
            r.writable ? 'RW' : 'RO',
          ].join(';'),
        ),
      ].join('\n'),
    'fromZero',
  ],
  [
    'bars, the table in words, the scale beside the unit',
    (all) =>
      [
        '| Area | No. | Label | Designation | Data type | Unit | Read/write |',
        '|---|---|---|---|---|---|---|',
        ...all.map((r) =>
          [
            '',
            { 2: 'Discrete input', 3: 'Holding register', 4: 'Input register' }[r.function as 2 | 3 | 4],
            String(r.address),
            r.code ?? '',
            named(r, skerry),
            r.type === 'int16' ? 'int' : r.type === 'uint16' ? 'word' : 'bit',
            r.unit === 'degC' ? '0.1 °C' : r.scale === 10 ? '0.1 °C/°F' : 'x1',
            r.writable ? 'read/write' : 'read only',
            '',
          ]
            .join(' | ')
            .trim(),
        ),
      ].join('\n'),
    'fromZero',
  ],
];

describe('a booklet’s register table', () => {
  test.each(styles)(
    '%s: the registers of a definition, printed, are read as they were',
    (_, print, count) => {
      const all = skerry.registers!;
      const text = `Communication\n${print(all)}\nSubject to change without notice.\n`;
      const { rows, registers, problems, table } = draftRegisters(skerry, written(text, { count }));
      expect(problems).toEqual([]);
      expect(rows).toHaveLength(all.length);
      expect(registers).toEqual(all.map(printable));
      expect(table.aside.length).toBeGreaterThan(0);
      expect(readDefinition({ ...skerry, registers })).not.toHaveProperty('faults');
    },
  );

  test.each([
    ['rows that are counted', 'No.;Address;Code;Description\n1;16;t1;Set point\n2;17;t2;Band'],
    ['a name that is the code', 'Reg.;Name;Meaning\n16;t1;Set point\n17;t2;Band'],
    ['parameters in words', 'Addr.;Label;Parameter\n16;t1;Set point\n17;t2;Band'],
    [
      'types that are tables',
      'Address;Type;Code;Name\n16;Holding register;t1;Set point\n17;Holding register;t2;Band',
    ],
  ])('headings that mean something else elsewhere: %s', (_, text) => {
    const { rows } = draftRegisters(skerry, written(text));
    expect(rows.map(({ is, register }) => [is, register?.address])).toEqual([
      [{ code: 't1' }, 16],
      [{ code: 't2' }, 17],
    ]);
  });

  test('a code in other letters is taken, and somebody should look at it', () => {
    const text = 'Address;Code;Name;R/W\n16;T1;Set point;R/W\n17;T2;Band;R/W';
    const { rows } = draftRegisters(skerry, written(text, { count: 'fromZero', table: 3 }));
    expect(rows[0]).toMatchObject({ is: { code: 't1' } });
    expect(rows[0]!.doubts[0]).toContain('a likely match');
  });

  test('lines of running text', () => {
    const [sp] = skerry.registers!;
    const text = `${sp!.code} is told as tenths.\n40017 ${sp!.code} Set point INT16 x10 R/W\n30257 Air temperature INT16 0.1 °C R\n`;
    const { registers } = draftRegisters(skerry, written(text));
    expect(registers).toEqual([
      printable(sp!),
      { reading: 'air', function: 4, address: 256, type: 'int16', scale: 10, unit: 'degC' },
    ]);
  });

  test('what the booklet leaves open is said, and taken as is usual', () => {
    const text = 'Address;Code;Description\n16;t1;Set point\n17;;Anything else\n256;;Evaporator temperature';
    const { rows } = draftRegisters(skerry, written(text));
    expect(rows[0]!.register).toEqual({ code: 't1', function: 3, address: 16, type: 'int16', scale: 10 });
    expect(rows[0]).toMatchObject({ noTable: true, noCount: true });
    expect(rows[0]!.doubts).toEqual([expect.stringContaining('tenths')]);
    expect(rows[1]).toMatchObject({ is: null, register: null });
    expect(rows[2]!.register).toMatchObject({ reading: 'coil', unit: 'degC' });
    expect(rows[2]!.doubts).toContainEqual(expect.stringContaining('unit'));
  });

  test('what is in doubt is not written until somebody looked at it', () => {
    const text = 'Address;Code;Description;R/W\n16;t1;Set point;R/W';
    const { printed, register } = draftRegisters(skerry, written(text)).rows[0]!;
    expect(register).not.toHaveProperty('writable');
    const checked = draftRegisters(
      skerry,
      written(text, { table: 3, count: 'fromZero', rows: { [printed.key]: { checked: true } } }),
    );
    expect(checked.rows[0]!.register).toMatchObject({ writable: true });
  });

  test('nothing may be written that no booklet and nobody says', () => {
    const { registers } = draftRegisters(
      skerry,
      written('Address\tCode\tName\n40017\tt1\tSet point\n40018\tt2\tBand'),
    );
    expect(registers.some(({ writable }) => writable)).toBe(false);
  });

  test('what was said of a row stands before what is printed; it is checked then', () => {
    const text = 'Address;Code;Description;Type\n16;t1;Set point;float';
    const key = draftRegisters(skerry, written(text)).rows[0]!.printed.key;
    const said = {
      [key]: {
        function: 16,
        wordOrder: 'lowFirst',
        scale: '1',
        unit: 'degC',
        writable: true,
        unlockAddress: '8',
        unlockValue: '731',
        order: '2',
        checked: true,
      },
    } as const;
    const { rows } = draftRegisters(skerry, written(text, { count: 'fromZero', rows: said }));
    expect(rows[0]!.doubts).toEqual([]);
    expect(rows[0]!.register).toEqual({
      code: 't1',
      function: 16,
      address: 16,
      type: 'float32',
      wordOrder: 'lowFirst',
      unit: 'degC',
      writable: true,
      order: 2,
      unlock: { address: 8, value: 731 },
    });
  });

  test('what cannot be is told with its line', () => {
    const text = 'Address;Code;Description\n40017;t1;Set point\n40018;t2;Band';
    const [a, b] = draftRegisters(skerry, written(text)).rows.map(({ printed }) => printed.key);
    const rows = { [a!]: { address: '70000' }, [b!]: { unlockAddress: '8' } };
    const check = { function: 3, address: 'x', equals: '1' } as const;
    const { problems, registers } = draftRegisters(skerry, written(text, { rows, check }));
    expect(problems).toEqual([
      'Registers, line 2: "70000" is no address: expected a whole number from 0 to 65535',
      'Registers, line 3: What must be written first: expected a register and a value, whole numbers from 0 to 65535',
      expect.stringContaining('expected an address and a value'),
    ]);
    expect(registers).toEqual([]);
  });

  test('a text that is no table says so; an empty one says nothing', () => {
    expect(draftRegisters(skerry, written('Connect A to A and B to B.')).problems).toEqual([
      expect.stringContaining('Registers: No'),
    ]);
    expect(draftRegisters(skerry, noRegisters)).toMatchObject({ registers: [], problems: [], rows: [] });
  });
});
