/** A step of the ice-point check, with why. */
export interface Step {
  readonly does: string;
  readonly why: string;
}

/** The ice point, 0.0 °C or 32.0 °F, to about 0.1 K when made so (common practice; purity and air pressure move it by less than 0.01 K). */
export const icePointSteps: readonly Step[] = [
  {
    does: 'Fill an insulated mug to the brim with crushed ice made from drinking water.',
    why: 'Lumps leave warm water between them.',
  },
  {
    does: 'Add cold water until it just stands between the ice, and pour off what floats the ice.',
    why: 'Ice must reach to the bottom, where water is warmest.',
  },
  {
    does: 'Stir for half a minute and let it stand three minutes.',
    why: 'Ice from a freezer is far below 0 °C until it is wet.',
  },
  {
    does: 'Put probe and reference in side by side, tips off the wall, at least 5 cm deep. A probe that is not sealed goes into a thin bag.',
    why: 'Heat comes in along the lead; water in a probe ends it.',
  },
  {
    does: 'Wait until the display has not moved for two minutes, stir once, and note both.',
    why: 'Filters of the control hold the display back.',
  },
  {
    does: 'Note what offset is in the control now.',
    why: 'The new offset replaces it and must contain it.',
  },
];
