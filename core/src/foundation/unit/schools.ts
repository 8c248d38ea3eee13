/** A question people in the trade answer differently: the sides, and what each costs. */
export interface School {
  readonly question: string;
  readonly sides: Readonly<Record<string, { readonly name: string; readonly costs: string }>>;
  readonly default: string;
}

/** The schools the first planner asks about. A company keeps its own default; a job may differ. */
export const schools = {
  probeFailure: {
    question: 'What does the compressor do when the air probe fails?',
    sides: {
      stop: { name: 'save the compressor', costs: 'the product warms up until somebody comes' },
      run: { name: 'save the product', costs: 'the compressor may run to death, and a refrigerator freezes' },
      dutyCycle: { name: 'fixed duty', costs: 'the times fit one load only' },
    },
    default: 'dutyCycle',
  },
  differential: {
    question: 'How wide is the band?',
    sides: {
      tight: { name: 'tight', costs: 'more starts' },
      wide: { name: 'wide', costs: 'the air swings more' },
    },
    default: 'wide',
  },
  restartProtection: {
    question: 'How long does the compressor stay off?',
    sides: {
      none: {
        name: 'none: a solenoid on a rack',
        costs: 'nothing on a rack; on a compressor of its own it is a risk',
      },
      short: { name: '3 min', costs: 'small units may need longer to equalise' },
      long: { name: '5 min', costs: 'the box overshoots more while it waits' },
    },
    default: 'short',
  },
  freezerFans: {
    question: 'What does a freezer fan do in the off-cycle?',
    sides: {
      stop: { name: 'off', costs: 'air layers while it stands' },
      cycle: { name: 'cycled', costs: 'a little fan heat' },
      run: { name: 'on', costs: 'fan heat all day' },
    },
    default: 'stop',
  },
  refrigeratorFans: {
    question: 'What does a refrigerator fan do in the off-cycle?',
    sides: {
      run: { name: 'run', costs: 'fan heat all day' },
      stop: { name: 'stop', costs: 'frost stays on the coil and air layers' },
    },
    default: 'run',
  },
  defrostDisplay: {
    question: 'What does the display show in defrost?',
    sides: {
      actual: { name: 'the true reading', costs: 'users see the heat and call' },
      held: { name: 'the last reading', costs: 'it hides a fault from you' },
      label: { name: 'a label', costs: 'no number for half an hour' },
    },
    default: 'label',
  },
  defrostAtPowerOn: {
    question: 'Defrost after a power cut?',
    sides: {
      yes: { name: 'yes', costs: 'a warm box waits longer for cooling' },
      no: { name: 'no', costs: 'ice may stand until the next count' },
    },
    default: 'no',
  },
  alarmReference: {
    question: 'How are alarm limits given?',
    sides: {
      absolute: { name: 'temperatures', costs: 'they stay behind when the set point is moved' },
      relative: { name: 'offsets', costs: 'they follow a set point that somebody turned up' },
    },
    default: 'absolute',
  },
  alarmWidth: {
    question: 'How tight are the alarms?',
    sides: {
      tight: { name: 'tight with delays', costs: 'the delay must cover deliveries' },
      wide: { name: 'wide', costs: 'it sounds late' },
    },
    default: 'tight',
  },
  userRange: {
    question: 'How far may the user turn it?',
    sides: {
      narrow: { name: 'narrow and locked', costs: 'each change of product is a call' },
      open: { name: 'open', costs: 'somebody will turn it' },
    },
    default: 'narrow',
  },
  defrostEnd: {
    question: 'How warm must the coil get?',
    sides: {
      justPast: { name: 'just past melting', costs: 'corners may keep ice' },
      hot: { name: 'hot enough for the corners', costs: 'more heat in the box' },
    },
    default: 'justPast',
  },
  fanRestart: {
    question: 'When does the fan run again after defrost?',
    sides: {
      timed: { name: 'after a time', costs: 'the time fits one load only' },
      coil: { name: 'by coil temperature', costs: 'it needs a good coil probe' },
    },
    default: 'coil',
  },
  offCycleFans: {
    question: 'Fans in an off-cycle defrost?',
    sides: {
      run: { name: 'on', costs: 'nothing: box air is what melts' },
      stop: { name: 'off', costs: 'the defrost takes far longer' },
    },
    default: 'run',
  },
  fanRegulation: {
    question: 'How are condenser fans regulated?',
    sides: {
      onOff: { name: 'on and off', costs: 'the pressure swings and motors start often' },
      proportional: { name: 'proportional', costs: 'it stands off the set point by a part of the band' },
      proportionalIntegral: { name: 'proportional and integral', costs: 'a wrong integral time hunts' },
      neutralZone: { name: 'neutral zone', costs: 'the pressure wanders inside the zone' },
    },
    default: 'proportionalIntegral',
  },
  condenserFans: {
    question: 'When may condenser fans run?',
    sides: {
      withCompressor: {
        name: 'only with a compressor',
        costs: 'some heat stays in the coil in the off-cycle',
      },
      always: { name: 'always', costs: 'on cold nights they cool a system that is off' },
    },
    default: 'withCompressor',
  },
} as const satisfies Readonly<Record<string, School>>;

export type SchoolId = keyof typeof schools;

/** A side for each school; an absent one is the default. */
export type Sides = Readonly<Partial<Record<SchoolId, string>>>;

/** The side taken: the job's, else the company's, else the one thought usual. */
export function sideOf(id: SchoolId, ...given: readonly (Sides | undefined)[]): string {
  for (const sides of given) {
    const side = sides?.[id];
    if (side !== undefined && Object.hasOwn(schools[id].sides, side)) return side;
  }
  return schools[id].default;
}

/** “differential: wide (costs: the air swings more)” */
export function describeSide(id: SchoolId, side: string): string {
  const chosen = (schools[id].sides as Readonly<Record<string, { name: string; costs: string }>>)[side];
  return chosen ? `${chosen.name}; costs: ${chosen.costs}` : side;
}
