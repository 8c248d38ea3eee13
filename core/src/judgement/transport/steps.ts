/** Where in a trip a step belongs, in the order of the work. */
export const tripStages = ['preTrip', 'preCool', 'loading', 'onTheWay', 'delivery'] as const;
export type TripStage = (typeof tripStages)[number];

export const tripStageNames: Readonly<Record<TripStage, string>> = {
  preTrip: 'Before the trip',
  preCool: 'Set and pre-cool',
  loading: 'Load',
  onTheWay: 'On the way',
  delivery: 'Hand over the load',
};

/** One thing to look at or do. `value`: a number is read, with its unit and what is right. */
export interface TripStep {
  readonly id: string;
  readonly stage: TripStage;
  readonly title: string;
  readonly how: string;
  readonly caution?: string;
  readonly value?: {
    readonly label: string;
    readonly unit: string;
    readonly from: number;
    readonly to: number;
    readonly off: string;
  };
}

/** Said once, above all steps: hands go in at belts, fans, guards. */
export const STARTS_BY_ITSELF =
  'The unit starts by itself whenever it is switched on: switch it off and take the key before a guard or door of the unit is opened.';

/** The steps of a trip; common practice. */
export const tripSteps: readonly TripStep[] = [
  {
    id: 'fuel',
    stage: 'preTrip',
    title: 'Fuel',
    how: 'Enough for the trip and a night more.',
    value: { label: 'Tank', unit: '%', from: 40, to: 100, off: 'under 40 %: fill up before you leave' },
  },
  {
    id: 'oil',
    stage: 'preTrip',
    title: 'Engine oil',
    how: 'Between the marks, engine off and level.',
  },
  {
    id: 'coolant',
    stage: 'preTrip',
    title: 'Coolant',
    how: 'In the sight bottle, engine cold.',
    caution: 'Never open a hot cooling system.',
  },
  {
    id: 'belts',
    stage: 'preTrip',
    title: 'Belts',
    how: 'No cracks, a thumb’s width of give.',
  },
  {
    id: 'coils',
    stage: 'preTrip',
    title: 'Coils',
    how: 'Condenser clean, evaporator free of ice and film.',
  },
  {
    id: 'doors',
    stage: 'preTrip',
    title: 'Doors and seals',
    how: 'Close tight all round; hinges and locks hold.',
  },
  { id: 'drains', stage: 'preTrip', title: 'Drains', how: 'Open, with their kinks or flaps.' },
  {
    id: 'batteryAmps',
    stage: 'preTrip',
    title: 'Battery amps',
    how: 'With the engine running the sign must say charge (plus).',
    value: {
      label: 'Amps, minus is discharge',
      unit: 'A',
      from: 0,
      to: 60,
      off: 'it discharges while the engine runs: belt, alternator, cables',
    },
  },
  {
    id: 'batteryVolts',
    stage: 'preTrip',
    title: 'Battery volts',
    how: 'Engine running; of a 24 V set, across one battery.',
    value: {
      label: 'Across one battery of 12 V',
      unit: 'V',
      from: 13.2,
      to: 14.8,
      off: '13.2 to 14.8 V while it charges: alternator, regulator, cables',
    },
  },
  {
    id: 'oilPressure',
    stage: 'preTrip',
    title: 'Oil pressure',
    how: 'Engine warm and at speed; 200 to 550 kPa (30 to 80 psi) unless its book says otherwise.',
    value: {
      label: 'Oil pressure',
      unit: 'kPa',
      from: 200,
      to: 550,
      off: '200 to 550 kPa when warm: stop it, look at the oil first, then at gauge and pump',
    },
  },
  {
    id: 'coolantTemperature',
    stage: 'preTrip',
    title: 'Coolant temperature',
    how: 'After a quarter of an hour; 70 to 95 °C (158 to 203 °F).',
    value: {
      label: 'Coolant',
      unit: '°C',
      from: 70,
      to: 95,
      off: '70 to 95 °C when warm: thermostat, water pump, a dirty radiator',
    },
  },
  {
    id: 'engineSpeed',
    stage: 'preTrip',
    title: 'Engine speed',
    how: 'In high speed, by the display or the tachometer; its plate goes before these figures.',
    value: {
      label: 'High speed',
      unit: 'rpm',
      from: 1400,
      to: 2600,
      off: '1400 to 2600 rpm in high speed: throttle solenoid, linkage, fuel filter',
    },
  },
  {
    id: 'preTripTest',
    stage: 'preTrip',
    title: 'The unit’s own test',
    how: 'Run it empty with the doors shut; write down every code it shows.',
  },
  {
    id: 'setPoint',
    stage: 'preCool',
    title: 'Set point',
    how: 'Key it in, confirm, then read it back after the display has gone dark once: unconfirmed it reverts.',
  },
  {
    id: 'runMode',
    stage: 'preCool',
    title: 'Running',
    how: 'Continuous or start-stop as the product needs it.',
  },
  {
    id: 'preCooled',
    stage: 'preCool',
    title: 'Pre-cooled',
    how: 'Doors shut until the walls are cold, not only the air.',
  },
  {
    id: 'defrost',
    stage: 'loading',
    title: 'Defrost',
    how: 'Start one by hand when the body is cold: a dry coil for the load. It is refused while the coil is warm.',
  },
  {
    id: 'unitOff',
    stage: 'loading',
    title: 'Unit off while the doors stand open',
    how: 'Else it draws warm, wet air through the coil.',
  },
  {
    id: 'productTemperature',
    stage: 'loading',
    title: 'Load is cold',
    how: 'Probe between two packs, not the air: the unit holds, it does not chill.',
  },
  {
    id: 'airWays',
    stage: 'loading',
    title: 'Air ways',
    how: 'Floor grooves and chute free, nothing above the line, a hand’s breadth to the rear door.',
  },
  {
    id: 'setPointAgain',
    stage: 'loading',
    title: 'Set point again',
    how: 'Read it after loading; someone may have turned it.',
  },
  {
    id: 'onAgain',
    stage: 'loading',
    title: 'Unit on, in range',
    how: 'Within the band before you leave the ramp.',
  },
  {
    id: 'papers',
    stage: 'delivery',
    title: 'Readings shown',
    how: 'Hand the readings of the trip over with the load.',
  },
  {
    id: 'body',
    stage: 'delivery',
    title: 'Body empty and clean',
    how: 'Swept, drains open, doors ajar if it is off.',
  },
];

export const tripStepIds: readonly string[] = tripSteps.map((step) => step.id);

/** What a number read says: null where it is right, else a sentence. */
export function valueOff(step: TripStep, value: number): string | null {
  if (!step.value) return null;
  const { from, to, off } = step.value;
  return value >= from && value <= to
    ? null
    : `${value} ${step.value.unit}: ${value < from ? off : `more than ${to} ${step.value.unit} is not plausible here`}`;
}
