import { temperature } from '../../foundation/quantities/index.ts';
import { SECONDS_PER_DAY } from '../../foundation/limits/index.ts';
import Papa from 'papaparse';
import { isFlag, isTemperature, type ValueRole } from './columns.ts';
import { Growing } from './growing.ts';
import type { LogLayout } from './layout.ts';
import type { Log, Tidied } from './log.ts';
import { CellEnds, plainNumber } from './plainCells.ts';
import { readTime, writtenTime } from './readTime.ts';
import { inOrder } from './inOrder.ts';
import { zoneClock, type ZoneClock } from './zone.ts';

/** Sentences kept of lines that cannot be read; the others are only counted. */
const MOST_PROBLEMS = 20;
/** Longest line that can be a row, characters: a logger's have some hundreds. A longer one is passed over without being held. */
export const LONGEST_LINE = 65_536;
/** So much of a cell is said in a sentence. */
const LONGEST_SAID = 60;
/** A repeated hour goes back by an hour less one step: between these, seconds. */
const HOUR_BACK = { least: 1800, most: 3600 };

/** A column of the file that is read. */
interface Source {
  readonly index: number;
  readonly role: ValueRole;
  readonly fahrenheit: boolean;
  readonly into: Growing;
}

/**
 * Reads a log of any size as its text comes in, piece by piece, so that neither page nor server holds the file. `push` as often as there is text,
 * then `finish`. Rows come out in order of true time, each time once. Cells between quotes are parted by papaparse, plain ones where they stand.
 */
export class LogReader {
  readonly #layout: LogLayout;
  readonly #sources: readonly Source[];
  readonly #timeAt: readonly number[];
  readonly #zone: ZoneClock | null;
  readonly #time = new Growing();
  readonly #written = writtenTime();
  readonly #problems: { line: number; why: string }[] = [];
  #rest = '';
  /** Within a line that is too long: nothing is taken before its end. */
  #passing = false;
  readonly #ends = new CellEnds();
  #line = 0;
  #toSkip: number;
  #unreadable = 0;
  #repeated = 0;
  #last = -Infinity;
  #lastWritten = -Infinity;
  /** Seconds added to clock times as written after a repeated hour. */
  #shift = 0;
  #withOffsets = false;

  constructor(layout: LogLayout) {
    this.#layout = layout;
    this.#toSkip = layout.skipLines;
    this.#zone = layout.zone === null ? null : zoneClock(layout.zone);
    const at = (role: string) => layout.columns.findIndex((column) => column.role === role);
    this.#timeAt = at('time') >= 0 ? [at('time')] : [at('date'), at('clock')].filter((i) => i >= 0);
    this.#sources = layout.columns.flatMap((column, index): Source[] =>
      column.role === null || ['time', 'date', 'clock'].includes(column.role)
        ? []
        : [{ index, role: column.role as ValueRole, fahrenheit: column.fahrenheit, into: new Growing() }],
    );
  }

  /** Rows read so far. */
  get rows(): number {
    return this.#time.length;
  }

  /** Takes the next piece of the file's text. A line or quote that is cut waits for the rest. */
  push(text: string): void {
    // In pieces, so that one long text costs no more than many short ones.
    for (let from = 0; from < text.length; from += LONGEST_LINE)
      this.#pushPiece(text.slice(from, from + LONGEST_LINE));
  }

  #pushPiece(text: string): void {
    const piece = this.#passing ? this.#afterLongLine(text) : text;
    if (piece === null) return;
    const whole = this.#rest + (this.#line === 0 && this.#rest === '' ? piece.replace(/^\uFEFF/, '') : piece);
    const cut = lastRowEnd(whole);
    this.#rest = whole.slice(cut);
    if (cut > 0) this.#take(whole.slice(0, cut));
    if (this.#rest.length <= LONGEST_LINE) return;
    this.#rest = '';
    this.#passing = true;
    this.#line += 1;
    this.#refuse(`a line of more than ${LONGEST_LINE} characters, or a quote that is never closed`);
  }

  /** What follows the end of a line that was too long; null where it goes on. */
  #afterLongLine(text: string): string | null {
    const end = /[\n\r]/.exec(text)?.index ?? -1;
    if (end < 0) return null;
    this.#passing = false;
    return text.slice(end + 1);
  }

  /** The log, once all text is in. */
  finish(): { readonly log: Log; readonly tidied: Tidied } {
    if (this.#rest.trim() !== '') this.#take(this.#rest);
    this.#rest = '';
    const ordered = inOrder(
      this.#time.taken(),
      this.#sources.map((source) => source.into.taken()),
    );
    const clock: Log['clock'] =
      this.#layout.order === 'seconds'
        ? { kind: 'elapsed' }
        : this.#zone || this.#withOffsets
          ? { kind: 'true', zone: this.#layout.zone }
          : { kind: 'asWritten' };
    return {
      log: {
        time: ordered.time,
        values: Object.fromEntries(this.#sources.map(({ role }, i) => [role, ordered.columns[i]!])),
        clock,
      },
      tidied: {
        duplicates: ordered.duplicates,
        unsorted: ordered.unsorted,
        repeatedHours: this.#repeated,
        unreadable: this.#unreadable,
        problems: this.#problems,
      },
    };
  }

  #take(text: string): void {
    // Lines that end with a lone CR are papaparse's too.
    if (text.includes('"') || !text.includes('\n')) this.#takeQuoted(text);
    else this.#takePlain(text);
  }

  /** Quotes, and delimiters and line ends within them, are papaparse's. */
  #takeQuoted(text: string): void {
    const { data } = Papa.parse<string[]>(text, { delimiter: this.#layout.delimiter, skipEmptyLines: false });
    // papaparse gives one empty row for the line end that closes the text.
    if (data.at(-1)?.length === 1 && data.at(-1)![0] === '') data.pop();
    for (const cells of data) {
      this.#line += 1;
      if (this.#toSkip > 0) this.#toSkip -= 1;
      else if (cells.length > 1 || (cells[0] ?? '').trim() !== '') this.#row(cells);
    }
  }

  /** Without quotes a line is a row: its cells are read where they stand, since a year of minutes has some millions of them. */
  #takePlain(text: string): void {
    let from = 0;
    while (from < text.length) {
      const lineFeed = text.indexOf('\n', from);
      const end = lineFeed < 0 ? text.length : lineFeed;
      const to = text.charCodeAt(end - 1) === 13 && end > from ? end - 1 : end;
      this.#line += 1;
      if (this.#toSkip > 0) this.#toSkip -= 1;
      else if (to > from) this.#plainRow(text, from, to);
      from = end + 1;
    }
  }

  #plainRow(text: string, from: number, to: number): void {
    const ends = this.#ends;
    ends.part(text, from, to, this.#layout.delimiter);
    if (ends.count === 1 && text.slice(from, to).trim() === '') return;
    const cell = (i: number | undefined) =>
      i === undefined || i >= ends.count ? '' : text.slice(ends.starts[i], ends.ends[i]);
    const [a, b] = this.#timeAt;
    if (!this.#takeTime(b === undefined ? cell(a) : `${cell(a)} ${cell(b)}`)) return;
    const decimal = this.#layout.decimal === ',' ? 44 : 46;
    for (const source of this.#sources) {
      const { index } = source;
      const number =
        index < ends.count ? plainNumber(text, ends.starts[index]!, ends.ends[index]!, decimal) : Number.NaN;
      source.into.push(
        number === number ? scaled(number, source) : value(cell(index), source, decimal === 44),
      );
    }
  }

  #row(cells: readonly string[]): void {
    const [a, b] = this.#timeAt;
    const text = b === undefined ? (cells[a!] ?? '') : `${cells[a!] ?? ''} ${cells[b] ?? ''}`;
    if (!this.#takeTime(text)) return;
    const comma = this.#layout.decimal === ',';
    for (const source of this.#sources) source.into.push(value(cells[source.index], source, comma));
  }

  /** Takes a row's time; false, and a sentence, where it is none. */
  #takeTime(text: string): boolean {
    if (!readTime(text, this.#layout.order, this.#written)) {
      this.#refuse(`${said(text.trim()) || 'an empty cell'} is no time`);
      return false;
    }
    this.#time.push(this.#trueTime());
    return true;
  }

  #trueTime(): number {
    const { seconds, offset } = this.#written;
    let time: number;
    if (offset === offset) {
      this.#withOffsets = true;
      time = seconds - offset;
    } else if (this.#zone) time = this.#zone.toTrue(seconds, this.#last);
    else {
      if (this.#isRepeatedHour(seconds)) {
        this.#shift += 3600;
        this.#repeated += 1;
      }
      this.#lastWritten = seconds;
      time = seconds + this.#shift;
    }
    this.#last = time;
    return time;
  }

  /**
   * Without a zone a clock that goes back by about an hour in a night from Saturday to Sunday is the end of summer time; anything else that
   * goes back is a row out of order.
   */
  #isRepeatedHour(seconds: number): boolean {
    const back = this.#lastWritten - seconds;
    if (!(back >= HOUR_BACK.least && back <= HOUR_BACK.most) || this.#layout.order === 'seconds')
      return false;
    const day = Math.floor(seconds / SECONDS_PER_DAY);
    const isSunday = (day + 4) % 7 === 0;
    return isSunday && seconds - day * SECONDS_PER_DAY < 4 * 3600;
  }

  #refuse(why: string): void {
    this.#unreadable += 1;
    if (this.#problems.length < MOST_PROBLEMS) this.#problems.push({ line: this.#line, why });
  }
}

/** A cell as a sentence may hold it. */
const said = (cell: string) => (cell.length > LONGEST_SAID ? `${cell.slice(0, LONGEST_SAID)} …` : cell);

/** Where the last whole row of a piece of text ends. Only a line end outside quotes ends a row. */
function lastRowEnd(text: string): number {
  const newline = Math.max(text.lastIndexOf('\n'), text.lastIndexOf('\r', text.length - 2));
  if (newline < 0) return 0;
  if (!text.includes('"')) return newline + 1;
  let end = 0;
  let quoted = false;
  for (let i = 0; i < text.length; i += 1) {
    const c = text.charCodeAt(i);
    if (c === 34) quoted = !quoted;
    else if (c === 10 && !quoted) end = i + 1;
  }
  return end;
}

const yes = new Set(['true', 'on', 'yes', 'open', 'run', 'running', 'active', 'closed']);
const no = new Set(['false', 'off', 'no', 'stop', 'stopped', 'inactive']);

/** A cell as a number: °C, 0 or 1, or as it stands. What is no number is a missing reading. */
function value(cell: string | undefined, { role, fahrenheit }: Source, comma: boolean): number {
  if (cell === undefined || cell === '') return Number.NaN;
  if (isFlag(role)) return flag(cell, role, comma);
  const number = Number(comma ? cell.replace(',', '.') : cell);
  return scaled(number === number ? number : loose(cell, comma), { role, fahrenheit });
}

/** A number of a cell in the unit of its column: °C, or 0 and 1. */
function scaled(number: number, { role, fahrenheit }: Pick<Source, 'role' | 'fahrenheit'>): number {
  if (isFlag(role)) return number > 0.5 ? 1 : 0;
  return isTemperature(role) ? temperature(number, fahrenheit ? 'degF' : 'degC') : number;
}

function flag(cell: string, role: ValueRole, comma: boolean): number {
  const number = Number(comma ? cell.replace(',', '.') : cell);
  if (number === number) return number > 0.5 ? 1 : 0;
  const word = cell.trim().toLowerCase();
  // “Closed” is the state of a door, and the run of a relay.
  if (role === 'door' && word === 'closed') return 0;
  return yes.has(word) ? 1 : no.has(word) ? 0 : Number.NaN;
}

/** `−4.5 °C`, `12 %`, `1 204.5`: the number with what stands around it left out. */
function loose(cell: string, comma: boolean): number {
  const plain = cell
    .trim()
    .replace('−', '-')
    .replace(/\s*(°?\s*[CF]|%|V|K)$/i, '');
  const text = comma ? plain.replace(/\./g, '').replace(',', '.') : plain;
  return /^[+-]?\d*\.?\d+$/.test(text) ? Number(text) : Number.NaN;
}
