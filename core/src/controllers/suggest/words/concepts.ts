/** How much a concept says. Words like "time" stand in every second row; "defrost" decides. */
const light = 0.4;
const plain = 1;
const heavy = 2;

/** Idioms of several words, tried before single words, on lower-case text with single spaces. */
const idioms: readonly (readonly [RegExp, string])[] = [
  // Sentences, as a booklet for owners words them.
  [
    /\b(mains|power|supply|current) (failure|fail|loss|outage|cut|interruption|return\w*|restored|back)\b/g,
    'poweron',
  ],
  [/\bcold (room|store|storage|cell|chamber)\b/g, 'air'],
  [/\b(temperature )?rises? (before|until|till) .*\b(cuts? in|starts?|runs?|comes? on)\b/g, 'diff'],
  [/\b(evaporator|coil|plate|evap) (is )?(warm|hot) enough\b/g, 'defrost end coil temperature'],
  [/\bheld back\b|\bholds? back\b/g, 'delay'],
  [/\b(lower|bottom) (stop|end|limit|bound)\b/g, 'min'],
  [/\b(upper|top) (stop|end|bound)\b/g, 'max'],
  [/\b(emergency|limp) (running|operation|run|mode)\b/g, ' '],
  [/\b(voltage|mains|power) recovery\b|\bconnect(ing|ion) (the |of )?(battery|supply|mains)\b/g, 'poweron'],
  [/\b(safety|fail-?safe|emergency|backup) (time|timer|limit)\b/g, 'timeout'],
  [/\b(open|shorted|short) or (short(ed)?|open)( circuit)?\b/g, 'fault'],
  [/\b(is|are) over\b/g, 'end'],
  [/\b(working|running|operating|on) time\b/g, 'on time'],
  [/\b(on|off)-time\b/g, '$1 time'],
  [/\b(this|so|how) many degrees\b/g, ' '],
  [/\b(give up|abort|break off|cancel) (the )?defrost\w*( after)?\b/g, 'defrost max time'],
  [/\beverything (re)?starts?\b/g, 'forced start'],
  [/\bmust (last|stand|persist|hold|be (there|present))( for)?\b/g, 'delay'],
  [/\bdoor (switch|contact|sensor)\b/g, 'door polarity input'],
  [/\bslow (the )?display( down)?\b|\bdisplay slow\w*\b/g, 'display lag'],
  [/\b(star|side|aux\w*|fourth|fifth|programmable|configurable) (key|button)\b/g, 'freekey'],
  [/\bair (minus|less) (the )?(evaporator|coil|evap)\b/g, 'call diff air coil'],
  [/^ *(temperature|temp)\.?( 1)? *$/g, 'setpoint'],
  [
    /\bhow (much|many degrees) (warmer|colder|higher|it may)\b.*\b(runs?|starts?|cools?|on) again\b/g,
    ' diff ',
  ],
  [
    /\b(over|above|under|below|from|beyond) (the |its )?(setting|set value|target|set)\b(?![ -]?points?)/g,
    '$1 setpoint',
  ],
  [/\bdegrees (over|above|under|below|warmer|colder)\b/g, '$1'],
  [/\btoo[ -](warm|hot|high)\b/g, 'high'],
  [/\btoo[ -](cold|cool|low)\b/g, 'low'],
  [/\balarm (goes off|sounds|rings|comes|is (given|raised))\b/g, 'alarm'],
  [
    /\bwater (to )?(run|runs|drip|drips|drain|drains) (off|away|out)\b|\b(de-?watering|melt ?water|drip[ -]?off|run[ -]?off)\b/g,
    'drain',
  ],
  [/\b(noise|sound|night) (limit\w*|reduction)\b|\blow[ -]noise\b/g, 'quiet'],
  [/\bdecimal (place|point|digit|figure)s?\b/g, 'decimal'],
  [/\b(fan|fans) follows? (the )?compressor\b/g, 'fan compressor off'],
  [/\bstart (boost|kick|pulse)\b|\bboost at start\b/g, 'kick'],
  [/\bphase[ -](cut|angle|control)\w*\b/g, 'phasecut'],
  [/\b(switch|cut|turn)[ -]on difference\b/g, 'on diff'],
  [/\bproportional (range|band)\b|\bp[ -]band\b/g, 'band'],
  [/\bpower[ -]?(up|on)\b|\bpwr[ -]?(up|on)\b/g, 'poweron'],
  [/\b(may|can) (stand|stay|be|remain) open\b/g, 'open delay'],
  [/\badd(ed)? to\b|\bsubtract(ed)? from\b/g, 'offset'],
  [/\bhealth (shut|cut)[ -]?off\b/g, 'foreign'],
  [/\bpermanent (refrigeration|cooling)\b/g, 'foreign'],
  [/\b(set ?-?points?|set ?pts?|setp|set temp(erature)?s?|set value)\b/g, 'setpoint'],
  [
    /\b(power(ed)?[ -]?(on|up|back)s?|start[ -]?up|switch(ed|ing)?[ -]on( mains)?|(at|from|of) mains|turn(ed|ing)[ -]on|mains (on|back))\b/g,
    'poweron',
  ],
  [/\b(set[ -]?back|night ?mode|energy sav(ing|er)|eco( mode)?)\b/g, 'setback'],
  [/\b(anti[ -]?short([ -]cycl\w*)?|short[ -]cycl\w*)\b/g, 'rest'],
  [/\b(stand[ -]?by|switched off by)\b/g, 'standby'],
  [/\b(time[ -]?out|safety end)\b/g, 'timeout'],
  [/\b(run[ -]?on|over[ -]?run|after[ -]?run|(continues?|goes|go) (on )?after)\b/g, 'runon'],
  [/\b(duty[ -]?cycle|pulsed|pulsing)\b/g, 'duty fault'],
  [/\b(start[ -]to[ -]start)\b/g, 'between start'],
  [/\b(post[ -]?vent\w*)\b/g, 'fan runon'],
  [/\b(hot[ -]?gas|reverse cycle|inversion)\b/g, 'hotgas'],
  [/\b(off[ -]?cycle|cycle off)\b/g, 'offcycle'],
  [/\b(cut[ -]?in)\b/g, 'cutin'],
  [/\b(cut[ -]?out)\b/g, 'cutout'],
  [/\b(cut[ -]?off)\b/g, 'cutoff'],
  [/\b(dead ?(band|zone)|neutral ?(band|zone)?)\b/g, 'neutral'],
  [/\b(cond(\.|enser)? ?fans?)\b/g, 'condenser fan'],
  [/\b(read[ -]?only|show(s)? (probe|sensor)|actual value)\b/g, 'foreign'],
  [/\b(hour counters?|run(ning)? hours|hours? run|hour meters?)\b/g, 'foreign'],
  [
    /\b(real[ -]?time clock|set(ting)? (the )?clock|clock set(ting)?|day of (the )?week|week ?day)\b/g,
    'foreign',
  ],
  [/\b(factory (values?|defaults?|settings?)|restore defaults?)\b/g, 'foreign'],
  [/\b(not used|keep for service|do not change|reserved)\b/g, 'foreign'],
  [/\b(lamp test|test of|door openings? (today|count))\b/g, 'foreign'],
  [/\b(recorded (since|so far)|measured (since|so far)|since reset)\b/g, 'foreign'],
  [/\b(first in( |-)first out|fifo|lifo|last in( |-)first out)\b/g, 'rotation'],
  [/\b(full speed|kick|boost at start)\b/g, 'kick'],
  [/\b(ramp[ -]?up|speed (increase|up)|up ramp)\b/g, 'rise'],
  [/\b(ramp[ -]?down|speed (decrease|down)|down ramp)\b/g, 'fall'],
  [/\b(0 ?- ?10 ?v)\b/g, 'drive'],
  [/\b(set point|setpoint) (min(imum)?|low(est)?)\b/g, 'setpoint min'],
  [/\b(hot (alarm|sign))\b/g, 'high alarm'],
  [/\b(cold (alarm|sign))\b/g, 'low alarm'],
  [/\b(under[ -]?temp\w*)\b/g, 'low temperature'],
  [/\b(over[ -]?temp\w*)\b/g, 'high temperature'],
  [/\bconnect(ion|ing) (of |to )?(the )?(battery|supply|mains|power)\b/g, 'poweron'],
  [/\b(power|mains|supply) (comes|is|goes|returns?) (back )?(on)?\b/g, 'poweron'],
  [/\bend[- ]of[- ]defrost\b/g, 'defrost end'],
  [/\b(end[- ]of)\b/g, 'after end'],
  [/\b(in[ -]range)\b/g, 'inrange'],
  [/\b(starts? ?\/? ?(and )?stop( (operation|mode))?)\b/g, 'startstop'],
  [/\b(starts? (by itself|automatically|alone)|auto(matic)?[ -]?start)\b/g, 'autostart'],
  [/\b(normally (open|closed)|n ?\.? ?[oc] or n ?\.? ?[oc]|no ?\/ ?nc)\b/g, 'polarity'],
  [/\b(how (it )?(is )?counted|counting( mode)?|what counts)\b/g, 'count'],
  [/\b(start mode)\b/g, 'count'],
  [/\b(number of|no\. ?of|how many)\b/g, 'number'],
  [/\b(without load|at least)\b/g, 'min'],
  [/\b(at most|no longer than|not longer than)\b/g, 'max'],
  [/\b(slow[ -]?down)\b/g, 'lag'],
  [/\b(free key|extra (button|key)|spare key|function key|shortcut)\b/g, 'freekey'],
  [
    /\b(forced|(come|comes|turned?|switch(ed)?) back( on)?|although (the )?door|despite (the )?door)\b/g,
    'forced',
  ],
  [/\b(still open)\b/g, 'open'],
];

/** Single words, by concept. A word may stand for one concept only; idioms above take the rest. */
const words: Readonly<Record<string, string>> = {
  setpoint: 'setpoint sp set target wanted desired required want wish tset setp',
  diff: 'differential diff hysteresis hyst hyste difference width gap swing dif hys delta',
  min: 'min minimum minimal lowest lower least shortest coldest shorter fewest',
  max: 'max maximum maximal highest upper longest warmest greatest',
  high: 'high hot hi warm',
  low: 'low cold lo',
  above: 'above over higher warmer hotter exceeds exceed exceeded exceeding greater upwards',
  below: 'below under colder falls beneath',
  user: 'user customer users enduser end-user operator',
  heat: 'heat heating reverse',
  cool: 'cool cooling refrigerate refrigerating refrigeration direct',
  action: 'action effect',
  place:
    'position lies symmetrical symmetric asymmetric centred centered sided side located lie about around',
  type: 'type kind selection select choice family',
  method: 'method way mode form',
  regulation: 'regulation regulator control controller regulating thermostat',
  integral: 'integral integration',
  setback: 'setback night economy eco',
  standby: 'standby',
  allowed: 'allowed enable enabled enabling permitted',
  stage2: 'stage2',
  offset:
    'offset shift correction calibration calibrate adjustment trim adjust zero ofs offs corr compensation',
  relative: 'relative rel tied dependent deviation depends dependence linked respect',
  absolute: 'absolute abs independent own',
  function: 'function configuration config job works work working use serves',
  compressor: 'compressor comp compr cmp compressors cprsr cpr cmpr refrigerator',
  output: 'output relay load out outlet channel outlets',
  off: 'off stop stops stopped stopping standing pauses halt',
  on: 'on run runs running activation activated active',
  rest: 'rest rests resting protection idle standstill pause pauses stand-still',
  start: 'start starts begin begins restart restarts starting cut-in',
  between: 'between successive consecutive next',
  delay: 'delay delays dly wait waits waiting delayed retard retardation del dlay hold-off lag-time postpone',
  time: 'time period duration length minutes hours hrs long timer seconds mins longer',
  before: 'before until',
  after: 'after following from since',
  call: 'call request demand calls',
  fault:
    'fault faulty failure fails failed fail broken breaks break error defective defect flt lost missing dead malfunction',
  probe: 'probe sensor probes sensors thermistor snsr sens sns prb feeler',
  air: 'air room cabinet box ambient cell store chamber interior inside case compartment cold-store',
  coil: 'coil evaporator evap evaporation plate fin fins',
  door: 'door doors lid lids hatch',
  open: 'open opened opening opens',
  close: 'close closes closed closing shut shuts',
  defrost: 'defrost defrosting defr defrosts def thaw thawing dfr dfrst dfst',
  interval: 'interval int every often frequency intervals cycle intv intvl intrvl periodicity',
  clock: 'clock daily day times fixed 1st',
  end: 'end ends termination terminate terminates finish finishes ended finished term',
  drain: 'drain drip dripping draining drainage drain-down water',
  manual: 'manual manually hand',
  display: 'display shown show shows screen displayed readout disp dsp dspl indication indicate',
  fan: 'fan fans ventilator ventilators blower blowers vent ventilation',
  always: 'always continuous continuously permanently',
  managed: 'managed controlled manages',
  alarm: 'alarm alarms warning alarmed alerts alert alm alrm',
  buzzer: 'buzzer beeper acoustic sounder audible sound beep bell horn siren',
  input: 'input digital din',
  external: 'external ext outside',
  exclusion: 'exclusion masked suppressed inhibit inhibited suppression muted ignored bypass mask',
  recovery: 'recovery',
  present: 'present fitted connected installed used presence exist available',
  second: 'second 2nd third',
  filter: 'filter smoothing filtering damping averaging smooth average smoothed',
  polarity: 'polarity logic contact',
  unit: 'unit units degrees scale celsius fahrenheit',
  decimal: 'decimal decimals tenths resolution point integer digit',
  lag: 'lag',
  lock: 'lock locked keyboard keypad keys blocked blocking block locking interlock lck kbd buttons',
  code: 'password code access pin',
  freekey: 'freekey',
  address: 'address addr adr network bus serial',
  log: 'log logging recording record logger stored logged memory',
  slope: 'slope gradient gain',
  supply: 'supply flow',
  returns: 'return',
  condenser: 'condenser condensing cond condensation liquid',
  speed: 'speed rpm',
  voltage: 'voltage volts volt v',
  limit: 'limit limits threshold thresholds limitation limiting thr',
  quiet: 'quiet noise silent',
  outdoor: 'outdoor',
  floating: 'floating float follows',
  band: 'band proportional',
  number: 'number quantity',
  rotation: 'rotation rotate order sequence alternation',
  overload: 'overload thermal trip',
  reset: 'reset resets clearing',
  automatic: 'automatic auto automatically',
  refrigerant: 'refrigerant gas',
  split: 'split',
  backup: 'backup spare reserve substitute',
  confirm: 'confirm confirming confirmed confirmation',
  runmode: 'startstop',
  count: 'count counts counted',
  temperature: 'temperature temp temperatures degree deg t',
  key: 'key button',
  electric: 'electric heaters heater el',
  slow: 'slow',
  drive: 'drive inverter phasecut',
  rise: 'rise rises increase increases raised',
  fall: 'fall decrease decreases',
  first: 'first main',
  curve: 'ntc ptc pt1000 pt100 platinum',
  or: 'or',
};

/** Words that say a row is about something outside the dictionary. */
const foreign =
  'software firmware release version map humidity light lamp shelf brightness intensity led leds backlight baud parity language ' +
  'superheat valve mop bar pressure suction transducer glass frame antisweat sump pumpdown pump-down usb stick upload download copy eeprom ' +
  'energy kwh counter counters openings history minute week model identification id calendar transfer test glycol pulse pulses curtain ' +
  'battery statistics factory defaults template menu maps';

/** Words that carry nothing here. */
const stop = new Set(
  (
    'a an the of in is are to for with by at and be it its as this that than when while if which what how does do can not no yes y n into per via has have had will ' +
    'during still goes go going comes come value values setting settings parameter parameters enables each only also one two 0 1 2 3 4 5 main item device instrument ' +
    'id ignore must many up last this everything contact-of you your may get keep keeps kept it reading readings degrees-of w whether once long-as add much stays stay pick eng vs approx etc rt ' +
    'status behaviour behavior operation machine s through further other their there left directly still too more less degc degf k h made because due'
  ).split(' '),
);

const byWord = new Map<string, string>();
for (const [concept, list] of Object.entries(words))
  for (const word of list.split(' ')) byWord.set(word, concept);
for (const word of foreign.split(' ')) if (!byWord.has(word)) byWord.set(word, 'foreign');

/** What a description speaks of: concepts it names, and words nobody knows. */
export interface Concepts {
  readonly named: ReadonlySet<string>;
  readonly unknown: readonly string[];
}

/** Names of the second outlet, with what follows them where that belongs to it: "second set point". */
const stage2 =
  /\b((stage|relay|output|outlet|channel|load|thermostat|circuit) (2|two|ii)|(2nd|second) (stage|relay|output|outlet|channel|load|thermostat|circuit)|out ?2|k2|y2|r2|(second|2nd) (set ?point|set|diff\w*)|(set ?point|differential|diff|hysteresis|temperature) (2|two))\b/g;
const belongsToStage2 =
  /^(?:(?:second|2nd) (set ?point|set|diff\w*)|(set ?point|differential|diff|hysteresis|temperature) (?:2|two))$/;

/** What of a name of the second outlet says more than that it is the second: its set point, its differential. */
function ofStage2(name: string): string {
  const found = belongsToStage2.exec(name);
  const what = found?.[1] ?? found?.[2] ?? '';
  return what === 'temperature' ? 'setpoint' : what;
}

/** Reads the concepts out of a description in a technician's English: abbreviations, small spelling variants, any order. */
export function conceptsOf(description: string): Concepts {
  let text = ` ${description.toLowerCase()} `
    .replace(/[°º]\s?[cf]\b/g, ' degrees ')
    .replace(stage2, (match) => ` stage2 ${ofStage2(match)} `);
  for (const [idiom, concept] of idioms) text = text.replace(idiom, ` ${concept} `);
  const named = new Set<string>();
  const unknown: string[] = [];
  for (const raw of text.split(/[^a-z0-9-]+/)) {
    const word = raw.replace(/^-+|-+$/g, '');
    if (word === '' || /^\d+$/.test(word)) continue;
    const concept = conceptOf(word);
    if (concept) named.add(concept);
    else if (!stop.has(word)) unknown.push(word);
  }
  return { named, unknown };
}

function conceptOf(word: string): string | null {
  if (byWord.has(word)) return byWord.get(word)!;
  if (word in words || word === 'foreign') return word;
  if (known.has(word)) return word;
  const parts = word.includes('-') ? word.split('-') : [];
  if (parts.length > 1) for (const part of parts) if (byWord.has(part)) return byWord.get(part)!;
  if (word.endsWith('s') && byWord.has(word.slice(0, -1))) return byWord.get(word.slice(0, -1))!;
  return null;
}

/** Concepts that only idioms name. */
const known = new Set(idioms.flatMap(([, concept]) => concept.split(' ')));

const lights = new Set([
  'time',
  'temperature',
  'limit',
  'probe',
  'or',
  'before',
  'after',
  'first',
  'output',
  'function',
  'cool',
  'allowed',
  'type',
  'method',
  'start',
  'regulation',
  'key',
  'input',
]);
const plains = new Set([
  'min',
  'max',
  'on',
  'off',
  'delay',
  'above',
  'below',
  'high',
  'low',
  'open',
  'close',
  'between',
  'rise',
  'fall',
  'air',
  'rest',
  'present',
  'count',
  'number',
  'electric',
  'clock',
  'action',
  'voltage',
  'speed',
  'automatic',
  'second',
  'exclusion',
  'polarity',
  'reset',
  'end',
  'display',
  'always',
]);

/** The weight of a concept in a score. */
export function weightOf(concept: string): number {
  if (concept === 'foreign') return heavy * 1.5;
  return lights.has(concept) ? light : plains.has(concept) ? plain : heavy;
}
