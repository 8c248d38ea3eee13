import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
/** The order of a date's parts, plain seconds since the first row, or days of a spreadsheet (1 = 1 January 1900). */
export const timeOrders = ['ymd', 'dmy', 'mdy', 'seconds', 'serial'] as const;
export type TimeOrder = (typeof timeOrders)[number];

/** A time as written: seconds since 1970 of the clock it shows, and the offset it names, in seconds; NaN where it names none. */
export interface WrittenTime {
  seconds: number;
  offset: number;
  /** Year, month, day, hour, minute, second while they are read. */
  readonly parts: Float64Array;
}

/** Days from spreadsheet day 0 to 1970. */
const SERIAL_1970 = 25569;

/** A place to read times into: one for all rows of a log, since a year of minutes makes half a million. */
export const writtenTime = (): WrittenTime => ({
  seconds: 0,
  offset: Number.NaN,
  parts: new Float64Array(7),
});

/**
 * Reads one time into `out`; false where it is none. Parts may be separated by anything; a two-digit year counts from 2000; am and pm are obeyed,
 * so are `Z` and offsets such as `+02:00`. `14/04/26 4:05 pm` by dmy.
 */
export function readTime(text: string, order: TimeOrder, out: WrittenTime): boolean {
  out.offset = Number.NaN;
  const { parts } = out;
  if (order === 'seconds' || order === 'serial') {
    const number = text.trim() === '' ? Number.NaN : Number(text.replace(',', '.'));
    out.seconds = order === 'seconds' ? number : Math.round((number - SERIAL_1970) * SECONDS_PER_DAY);
    return Number.isFinite(out.seconds);
  }
  let count = 0;
  let inNumber = false;
  let meridiem = 0;
  let offsetSign = 0;
  let at = 0;
  for (; at < text.length; at += 1) {
    const c = text.charCodeAt(at);
    if (c >= 48 && c <= 57) {
      if (!inNumber) {
        if (count === 6 && (text[at - 1] === '.' || text[at - 1] === ',')) {
          // Fractions of a second are nothing to a refrigerator.
          while (at + 1 < text.length && isDigit(text.charCodeAt(at + 1))) at += 1;
          continue;
        }
        if (count === 6) return false;
        parts[count] = 0;
        count += 1;
        inNumber = true;
      }
      parts[count - 1] = parts[count - 1]! * 10 + c - 48;
      continue;
    }
    inNumber = false;
    if (isLetter(c) && isLetter(text.charCodeAt(at + 1)) && isLetter(text.charCodeAt(at + 2)))
      return readTime(withoutNames(text), order, out);
    if (c === 80 || c === 112) meridiem = 2;
    else if (c === 65 || c === 97) meridiem = 1;
    else if ((c === 90 || c === 122) && count >= 5) out.offset = 0;
    else if ((c === 43 || c === 45 || c === 8722) && count >= 5) {
      offsetSign = c === 43 ? 1 : -1;
      break;
    }
  }
  if (offsetSign !== 0 && !readOffset(text, at + 1, offsetSign, out)) return false;
  if (count < 3) return false;
  return civil(order, count, meridiem, out);
}

function civil(order: TimeOrder, count: number, meridiem: number, out: WrittenTime): boolean {
  const { parts } = out;
  const [a, b, c] = [parts[0]!, parts[1]!, parts[2]!];
  const year = order === 'ymd' ? a : c;
  const month = order === 'mdy' ? a : b;
  const day = order === 'ymd' ? c : order === 'dmy' ? a : b;
  let hour = count > 3 ? parts[3]! : 0;
  if (meridiem === 2 && hour < 12) hour += 12;
  if (meridiem === 1 && hour === 12) hour = 0;
  const [minute, second] = [count > 4 ? parts[4]! : 0, count > 5 ? parts[5]! : 0];
  const full = year < 100 ? 2000 + year : year;
  if (
    month < 1 ||
    month > 12 ||
    day < 1 ||
    day > daysIn(full, month) ||
    hour > 24 ||
    minute > 59 ||
    second > 60 ||
    full < 1970 ||
    full > 2200
  )
    return false;
  out.seconds = daysFromCivil(full, month, day) * SECONDS_PER_DAY + hour * 3600 + minute * 60 + second;
  return true;
}

function readOffset(text: string, from: number, sign: number, out: WrittenTime): boolean {
  const digits = text.slice(from).replace(/\D/g, '');
  if (digits.length !== 2 && digits.length !== 4) return false;
  out.offset = sign * (Number(digits.slice(0, 2)) * 3600 + Number(digits.slice(2) || '0') * 60);
  return true;
}

const isLetter = (c: number) => (c >= 65 && c <= 90) || (c >= 97 && c <= 122);

const months = ['jan', 'feb', 'mar', 'apr', 'may', 'jun', 'jul', 'aug', 'sep', 'oct', 'nov', 'dec'];

/** Names of months become their numbers, names of days go: `Tue 14-Apr-26 16:05` becomes `14-4-26 16:05`. */
function withoutNames(text: string): string {
  return text.replace(/[A-Za-z]{3,}/g, (word) => {
    const month = months.indexOf(word.slice(0, 3).toLowerCase());
    return month < 0 ? ' ' : String(month + 1);
  });
}

const isDigit = (c: number) => c >= 48 && c <= 57;

const lengths = [31, 28, 31, 30, 31, 30, 31, 31, 30, 31, 30, 31];
const isLeap = (year: number) => (year % 4 === 0 && year % 100 !== 0) || year % 400 === 0;
const daysIn = (year: number, month: number) => (month === 2 && isLeap(year) ? 29 : lengths[month - 1]!);

/** Days since 1970-01-01 of a date of the Gregorian calendar (the closed form of Howard Hinnant's “days_from_civil”). */
function daysFromCivil(year: number, month: number, day: number): number {
  const y = month <= 2 ? year - 1 : year;
  const era = Math.floor(y / 400);
  const yoe = y - era * 400;
  const doy = Math.floor((153 * (month + (month > 2 ? -3 : 9)) + 2) / 5) + day - 1;
  const doe = yoe * 365 + Math.floor(yoe / 4) - Math.floor(yoe / 100) + doy;
  return era * 146097 + doe - 719468;
}
