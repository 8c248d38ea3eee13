/** What a probe is used for. */
export type ProbeUse = 'returnAir' | 'coil' | 'liquidLine' | 'simulator' | 'water' | 'plate';

/** Where a probe of a use goes, what holds it, and what it must not do. Common practice. */
export interface Placement {
  readonly use: ProbeUse;
  readonly name: string;
  readonly where: string;
  readonly hold: string;
  readonly avoid: string;
  readonly proof: string;
}

/** Placement by use. Low-voltage leads are kept away from mains everywhere. */
export const placements: readonly Placement[] = [
  {
    use: 'returnAir',
    name: 'Air, returning to the coil',
    where:
      'In the air that goes back into the coil, at half height of its face, a hand’s breadth in front of the fins.',
    hold: 'On its bracket or a tie that touches the lead only; the tip hangs free in the air.',
    avoid: 'Not in the supply air, not against metal, not in the stream of the door, not over a lamp.',
    proof:
      'Breathe on it: the display moves within half a minute. With the fans on it reads 4 to 12 K above the coil.',
  },
  {
    use: 'coil',
    name: 'Coil, end of defrost',
    where:
      'Where frost is heaviest and melts last: mostly low, on the side where the refrigerant comes in. Note the frost before you choose.',
    hold: 'Between two fins bent to grip it, or on a return bend with a clamp, the lead leaving downwards.',
    avoid: 'Not beside a heater rod: it would end the defrost with ice left. Do not pierce a tube.',
    proof: 'At the end of a defrost look at the place that clears last: the probe must have been there.',
  },
  {
    use: 'liquidLine',
    name: 'Liquid line',
    where: 'On the straight pipe after the condenser, on its upper half, before the receiver or filter.',
    hold: 'Full contact along the sensor, clamp snug but not crushing, paste between, then insulation over a hand’s breadth.',
    avoid: 'Not on a bend, not on a weld, not where the fan blows on it.',
    proof: 'Within 1 K of a thermometer strapped beside it under the same insulation.',
  },
  {
    use: 'simulator',
    name: 'Product simulator (buffered)',
    where:
      'In a bottle of glycol or a solid block among the product, in the warmest corner for food, in the middle for medicine.',
    hold: 'Through the stopper, tip in the middle of the fluid, lead secured so that it cannot pull out.',
    avoid: 'Not against the wall or the plate; do not let it regulate a box that must follow its air.',
    proof: 'It needs some ten minutes for a change of the air: that is its purpose.',
  },
  {
    use: 'water',
    name: 'Water or brine',
    where:
      'In the moving water of the return, in a pocket where there is one; never at the chiller’s own plate.',
    hold: 'A sealed sensor, gland hand-tight and a quarter turn, the end of the sleeve out of the water, drip loop in the lead.',
    avoid: 'A probe made for air takes up water through its end and drifts; seal it or use another.',
    proof: 'Stir, then within 0.5 K of a thermometer in the same water.',
  },
  {
    use: 'plate',
    name: 'Plate or evaporator wall',
    where: 'In the clamp of the old bulb, where the plate is coldest at cut-out.',
    hold: 'The whole sensor against the plate, paste in the clamp, a drip loop in the lead.',
    avoid: 'Its number is not the air’s: take the set point over by cut-in and cut-out as measured.',
    proof: 'At cut-out it reads several kelvin below the air; note both.',
  },
];
