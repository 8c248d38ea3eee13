import {
  instrumentName,
  type BestCheck,
  type Check,
  type InstrumentPlace,
  type InstrumentReading,
  type NotYet,
  type WhoIsRight,
} from '@brine/core/judgement/instruments';

/** How a difference reads on this page: “2.1 dF”. */
type Kelvin = (kelvin: number) => string;

/** Places as a technician calls them. */
export const placeNames: Readonly<Record<InstrumentPlace, string>> = {
  returnAir: 'return air',
  supplyAir: 'supply air',
  boxAir: 'middle of the box',
  door: 'by the door',
  goods: 'in the product',
  surface: 'on a surface',
};

const named = (id: string, instruments: readonly InstrumentReading[]): string => {
  const one = instruments.find((other) => other.id === id);
  return one ? instrumentName(one) : id;
};
const small = (words: string) => `${words[0]!.toLowerCase()}${words.slice(1)}`;
const percent = (share: number) => `${Math.round(100 * share)} %`;
/** Warmer or colder than it is, by how much. */
const off = (kelvin: number, show: Kelvin) => `${show(Math.abs(kelvin))} too ${kelvin > 0 ? 'warm' : 'cold'}`;

/** The answer in one line. */
export function headline(said: WhoIsRight, instruments: readonly InstrumentReading[], show: Kelvin): string {
  const first = said.suspects[0]!;
  const name = named(first.id, instruments);
  if (said.wrong !== null)
    return `✗ ${name} is wrong: it reads about ${off(first.off, show)} (${percent(first.odds)})`;
  if (said.check === null) return '✓ All of them can be true at once: nobody need be wrong';
  return said.canAllBeTrue
    ? `? All of them can be true at once (${percent(said.allRight)}), but it is not sure`
    : `? One of them is wrong, most likely ${small(name)} (${percent(first.odds)}): too little to say so`;
}

/** Each instrument with the odds that it is the one, and by how much. */
export const suspectRows = (said: WhoIsRight, instruments: readonly InstrumentReading[], show: Kelvin) =>
  said.suspects.map(({ id, odds, off: kelvin }) => ({
    id,
    name: named(id, instruments),
    odds,
    words: `${percent(odds)}${odds >= 0.05 ? `, then ${off(kelvin, show)}` : ''}`,
  }));

/** What is to be done to decide, and what it is good for. */
export function checkWords(
  { check, sureAfter }: BestCheck,
  instruments: readonly InstrumentReading[],
): string {
  const what =
    check.kind === 'iceWater'
      ? `Put ${small(named(check.of, instruments))} into ice water`
      : `Tie ${small(named(check.of, instruments))} and ${small(named(check.beside, instruments))} together, and wait until both stand still`;
  return `${what}: then the right one is named in ${Math.round(100 * sureAfter)} of 100 cases.`;
}

/** What of a check is typed. */
export const checkLabel = (check: Check, instruments: readonly InstrumentReading[]): string =>
  check.kind === 'iceWater'
    ? `${named(check.of, instruments)} in ice water`
    : `${named(check.of, instruments)}, then ${small(named(check.beside, instruments))}`;

const minutes = (seconds: number) => `${Math.max(1, Math.ceil(seconds / 60))} min`;

/** Why it is no moment to compare, and how long to wait. */
export function notYetWords({ why, wait, id }: NotYet, instruments: readonly InstrumentReading[]): string {
  const until = wait === null ? 'Wait until the display has cut out once' : `Wait ${minutes(wait)}`;
  const because = {
    inDefrost: 'the coil was just cleared, and the box has not come back to its cycle',
    stillMoving: 'the box is still on its way to its band, and what is quicker is ahead of what is slower',
    notSettled: `${id === null ? 'one of them' : small(named(id, instruments))} still shows where it was before`,
  }[why];
  return `${until}: ${because}. No offset is taken now.`;
}
