/** What a column of a log holds. Names are those of the open format. */
export const temperatureRoles = [
  'air',
  'coil',
  'coil2',
  'product',
  'ambient',
  'outdoor',
  'liquid',
  'supply',
  'return',
] as const;
export const flagRoles = ['compressor', 'defrost', 'fan', 'door', 'input', 'alarm'] as const;
export const numberRoles = ['fanPercent', 'humidity', 'battery', 'flow'] as const;
export type TemperatureRole = (typeof temperatureRoles)[number];
export type FlagRole = (typeof flagRoles)[number];
export type NumberRole = (typeof numberRoles)[number];
export type ValueRole = TemperatureRole | FlagRole | NumberRole;
export const valueRoles: readonly ValueRole[] = [...temperatureRoles, ...flagRoles, ...numberRoles];
/** `time` holds date and clock; `date` and `clock` hold one each. */
export type TimeRole = 'time' | 'date' | 'clock';
export type ColumnRole = ValueRole | TimeRole;

/** Words for a role, as a person reads them. */
export const roleNames: Readonly<Record<ColumnRole, string>> = {
  time: 'date and time',
  date: 'date',
  clock: 'time of day',
  air: 'air',
  coil: 'coil',
  coil2: 'second coil',
  product: 'product',
  ambient: 'ambient',
  outdoor: 'outdoor',
  liquid: 'liquid line',
  supply: 'supply',
  return: 'return',
  compressor: 'compressor (0/1)',
  defrost: 'defrost (0/1)',
  fan: 'fan (0/1)',
  door: 'door open (0/1)',
  input: 'input (0/1)',
  alarm: 'alarm (0/1)',
  fanPercent: 'fan, %',
  humidity: 'humidity, %',
  battery: 'battery, V',
  flow: 'flow, l/min',
};

export interface FormatColumn {
  readonly role: ColumnRole;
  readonly fahrenheit: boolean;
}

/** The columns of the open format by their exact name, lower case. */
export const formatColumns: ReadonlyMap<string, FormatColumn> = new Map<string, FormatColumn>([
  ['time', { role: 'time', fahrenheit: false }],
  ...temperatureRoles.flatMap((role) => [
    [`${role}_degc`, { role, fahrenheit: false }] as const,
    [`${role}_degf`, { role, fahrenheit: true }] as const,
  ]),
  ...flagRoles.map((role) => [role, { role, fahrenheit: false }] as const),
  ['fan_percent', { role: 'fanPercent', fahrenheit: false }],
  ['humidity_percent', { role: 'humidity', fahrenheit: false }],
  ['battery_v', { role: 'battery', fahrenheit: false }],
  ['flow_lpm', { role: 'flow', fahrenheit: false }],
]);

/** The name of a column of values in the open format, in °C. */
export function formatName(role: ValueRole): string {
  if ((temperatureRoles as readonly string[]).includes(role)) return `${role}_degC`;
  return (
    { fanPercent: 'fan_percent', humidity: 'humidity_percent', battery: 'battery_V', flow: 'flow_lpm' }[
      role as string
    ] ?? role
  );
}

export const isTemperature = (role: ColumnRole): role is TemperatureRole =>
  (temperatureRoles as readonly string[]).includes(role);
export const isFlag = (role: ColumnRole): role is FlagRole => (flagRoles as readonly string[]).includes(role);

export const isColumnRole = (role: unknown): role is ColumnRole =>
  typeof role === 'string' && Object.hasOwn(roleNames, role);
