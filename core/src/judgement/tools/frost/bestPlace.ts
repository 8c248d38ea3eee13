import type { FrostNote } from '../report.ts';

/** A cell of the coil: rows from the top, columns from the left, from 1. */
export interface Cell {
  readonly row: number;
  readonly column: number;
}

/** Where the frost is heaviest, and what the picture of it says. */
export interface BestPlace {
  readonly cell: Cell;
  /** Weight of that cell, 0 to 3, with what its neighbours have. */
  readonly weight: number;
  /** 1: as heavy as the heaviest cell; for the cell the sensor is in now. Null where that one was not looked at. */
  readonly sensorShare: number | null;
  readonly pattern: 'even' | 'heavy' | 'part';
}

const FEWEST_NOTES = 4;
/** A cell counts whole, what touches it half: one lump of ice beside bare fins is a drip, not the frost of the coil. */
const NEIGHBOURS = 0.5;

/**
 * The place for a demand sensor: the cell with the heaviest frost once its neighbours count too, of equal ones the one nearest to the middle of all
 * frost. A sentence where too little was noted or nothing is frosted.
 */
export function bestPlace(notes: readonly FrostNote[], sensor: Cell | null): BestPlace | string {
  if (notes.length < FEWEST_NOTES)
    return `${notes.length} places noted: note at least ${FEWEST_NOTES}, best before a defrost is due.`;
  const frosted = notes.filter((n) => n.level > 0);
  if (frosted.length === 0) return 'No frost was noted anywhere: look again when the coil has run for hours.';
  const total = frosted.reduce((sum, n) => sum + n.level, 0);
  const middle = {
    row: frosted.reduce((sum, n) => sum + n.row * n.level, 0) / total,
    column: frosted.reduce((sum, n) => sum + n.column * n.level, 0) / total,
  };
  const weights = notes.map((n) => ({ ...n, weight: weightOf(n, notes) }));
  const away = (n: Cell) => Math.hypot(n.row - middle.row, n.column - middle.column);
  const best = weights.toSorted((a, b) => b.weight - a.weight || away(a) - away(b))[0]!;
  const now = sensor && weights.find((n) => n.row === sensor.row && n.column === sensor.column);
  const levels = notes.map((n) => n.level);
  const bare = notes.filter((n) => n.level === 0).length / notes.length;
  return {
    cell: { row: best.row, column: best.column },
    weight: best.weight,
    sensorShare: now ? now.weight / best.weight : null,
    pattern:
      bare >= 0.4 ? 'part' : Math.max(...levels) - Math.min(...levels) <= 1 && bare === 0 ? 'even' : 'heavy',
  };
}

function weightOf(cell: FrostNote, notes: readonly FrostNote[]): number {
  const near = notes.filter((n) => Math.abs(n.row - cell.row) + Math.abs(n.column - cell.column) === 1);
  if (near.length === 0) return cell.level / (1 + NEIGHBOURS);
  const mean = near.reduce((sum, n) => sum + n.level, 0) / near.length;
  return (cell.level + NEIGHBOURS * mean) / (1 + NEIGHBOURS);
}
