import type { Confidence } from './analysis.ts';
import type { Cycles, Level } from './cycles.ts';
import type { FoundBy, FoundDefrosts } from './defrosts.ts';
import type { Grid } from './grid.ts';

/** How sure each figure is: what it may be off by, and from what it comes. */
export function confidenceOf(
  cycles: Cycles,
  cutIn: Level | null,
  cutOut: Level | null,
  grid: Grid,
  { defrosts, foundBy, expected }: FoundDefrosts,
): Readonly<Record<string, Confidence>> {
  const source =
    cycles.from === 'compressor'
      ? 'the compressor column'
      : 'turns of the air alone: it overshoots what the control saw';
  const level = (l: Level | null, what: string): Confidence => ({
    plusMinus: l ? 2 * l.error + (cycles.from === 'air' ? 0.15 : 0) : null,
    words: cycles.tooCoarse ?? (l ? `${l.count} ${what}, from ${source}` : `no ${what} to read it from`),
  });
  const minutes = grid.step / 60;
  const timed: Confidence = {
    plusMinus: Number.isFinite(minutes) ? minutes : null,
    words: cycles.tooCoarse ?? `rows ${+minutes.toFixed(2)} min apart`,
  };
  const ways: Readonly<Record<FoundBy, string>> = {
    defrostColumn: 'from the defrost column',
    coil: 'from the coil’s warm spells',
    longRests: 'from off-cycles much longer than the others: length and end are not known',
    air: `from the air alone: ${defrosts.length} of ${expected ?? defrosts.length} humps that come again in the same time; begin and end are where the air rises and where it is warmest`,
    nothing: 'none was seen',
  };
  return {
    cutIn: level(cutIn, 'starts'),
    cutOut: level(cutOut, 'stops'),
    startsPerHour: {
      plusMinus: null,
      words: cycles.tooCoarse ?? `counted over ${(grid.covered / 3600).toFixed(1)} h, from ${source}`,
    },
    shortestRunMinutes: timed,
    shortestRestMinutes: timed,
    defrosts: { plusMinus: defrosts.length > 0 ? minutes : null, words: ways[foundBy] },
  };
}
