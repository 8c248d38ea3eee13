import { readSupplyText } from './supplyText.ts';

/** What a plate says in the words of the survey; absent where it says nothing of it. */
export interface PlateSays {
  readonly supply?: string;
  readonly refrigerant?: string;
}

const REFRIGERANT = /\bR[-\s]?(\d{2,4}[a-z]?(?:\([EZ]\))?)(?![\w.])/i;
const SUPPLY =
  /\d+(?:[.,]\d+)?\s*(?:(?:[-–/]|to)\s*\d+(?:[.,]\d+)?\s*)?V(?![a-z]{3})\s*(?:AC|DC)?(?:\s*,?\s*(?:3\s*(?:phases?|ph|~)|three[- ]phase|battery))?/i;

/** Reads supply and refrigerant off a plate as somebody typed it: “R-404A, 230 V”, “208-240V 3~ R449A”. */
export function readPlate(plate: string): PlateSays {
  const supply = SUPPLY.exec(plate)?.[0]?.trim();
  const refrigerant = REFRIGERANT.exec(plate)?.[1];
  return {
    ...(supply !== undefined && readSupplyText(supply) !== null && { supply }),
    ...(refrigerant !== undefined && { refrigerant: refrigerantName(refrigerant) }),
  };
}

/** As it is written in the trade: blends with a capital, isomers of pure ones small. */
const refrigerantName = (number: string): string =>
  /^[45]\d\d/.test(number) ? `R-${number.toUpperCase()}` : `R-${number.toLowerCase()}`;

const bare = (text: string) => text.toLowerCase().replace(/[^a-z0-9]/g, '');

/** What a plate says against an answer: a word for it, null where it says nothing or the same. */
export function plateAgainst(
  plate: string,
  question: 'supply' | 'refrigerant',
  answer: string,
): string | null {
  const says = readPlate(plate)[question];
  if (says === undefined || bare(says) === bare(answer)) return null;
  if (question === 'refrigerant') return says;
  const [theirs, ours] = [readSupplyText(says), readSupplyText(answer)];
  return theirs && ours && Math.abs(theirs.volts / ours.volts - 1) < 0.05 ? null : says;
}
