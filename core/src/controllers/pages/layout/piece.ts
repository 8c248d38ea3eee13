/** Text at its place on a page: left and top edge, downwards from the page's top left corner, in any one unit of length. */
export interface TextPiece {
  readonly text: string;
  readonly x: number;
  readonly y: number;
  readonly width: number;
  readonly height: number;
}

/** A page of a booklet as text at places. */
export interface BookletPage {
  /** As the booklet counts its sheets, from 1. */
  readonly page: number;
  readonly pieces: readonly TextPiece[];
}

/** Where a line of text was read: the page and the strip of it, in the page's unit. */
export interface ReadAt {
  readonly page: number;
  readonly left: number;
  readonly top: number;
  readonly right: number;
  readonly bottom: number;
}

/**
 * Pieces parted where two spaces or more stand in them, as in text of one letter width, where the parting is exact. Single spaces stay: how wide they are is not known, and a
 * piece with one is words of one cell.
 */
export function wordsOf(pieces: readonly TextPiece[]): readonly TextPiece[] {
  return pieces.flatMap((piece) => {
    const letter = piece.width / Math.max(1, piece.text.length);
    return [...piece.text.matchAll(/\S+(?: \S+)*/g)].map((word) => ({
      ...piece,
      text: word[0],
      x: piece.x + word.index * letter,
      width: word[0].length * letter,
    }));
  });
}
