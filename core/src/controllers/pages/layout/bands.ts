import type { TextPiece } from './piece.ts';

/** Words side by side: one line of print, from the left. */
export interface PrintedLine {
  readonly words: readonly TextPiece[];
  readonly top: number;
  readonly bottom: number;
}

/** Share of the lower of two heights by which words must overlap to stand in one line. */
const SAME_LINE = 0.5;

/** Parts the words of a page into its lines, from the top. */
export function printedLines(words: readonly TextPiece[]): readonly PrintedLine[] {
  const lines: { words: TextPiece[]; top: number; bottom: number }[] = [];
  for (const word of [...words].sort((a, b) => a.y + a.height / 2 - (b.y + b.height / 2))) {
    const line = lines.findLast(({ top, bottom }) => {
      const overlap = Math.min(bottom, word.y + word.height) - Math.max(top, word.y);
      return overlap >= SAME_LINE * Math.min(word.height, bottom - top);
    });
    if (!line) {
      lines.push({ words: [word], top: word.y, bottom: word.y + word.height });
      continue;
    }
    line.words.push(word);
    // The line keeps to the middle of its words: one tall sign must not swallow the line below.
    const n = line.words.length;
    line.top += (word.y - line.top) / n;
    line.bottom += (word.y + word.height - line.bottom) / n;
  }
  return lines
    .map((line) => ({ ...line, words: whole(line.words.sort((a, b) => a.x - b.x)) }))
    .sort((a, b) => a.top - b.top);
}

/** Words that a letter of its own kind has broken, such as a joined f and i, come together again. */
function whole(words: readonly TextPiece[]): readonly TextPiece[] {
  return words.reduce<TextPiece[]>((kept, word) => {
    const last = kept.at(-1);
    const isBroken = /\p{L}$/u.test(last?.text ?? '') && /^\p{L}/u.test(word.text);
    if (last && isBroken && word.x - (last.x + last.width) < LETTER_GAP * word.height)
      kept[kept.length - 1] = { ...last, text: last.text + word.text, width: word.x + word.width - last.x };
    else kept.push(word);
    return kept;
  }, []);
}
const LETTER_GAP = 0.08;

/** Words of a line in runs: between runs there is more room than between words. */
export function runsOf(line: PrintedLine): readonly (readonly TextPiece[])[] {
  const wide = RUN_GAP * (line.bottom - line.top);
  return line.words.reduce<TextPiece[][]>((runs, word) => {
    const last = runs.at(-1)?.at(-1);
    if (last && word.x - (last.x + last.width) < wide) runs.at(-1)!.push(word);
    else runs.push([word]);
    return runs;
  }, []);
}
const RUN_GAP = 0.75;
