import type { Cell } from './bestPlace.ts';

const place = ({ row, column }: Cell) => `row ${row} from the top, column ${column} from the left`;

/** How the sensor is moved, in order; the power comes back in order too. Common practice. */
export function movingSteps(from: Cell | null, to: Cell): readonly string[] {
  return [
    'Switch off evaporator and condensing unit, lock both out, prove dead; let the blade stand still.',
    'Take off the fan guard, then the blade; mark which way it sits.',
    `Draw the sensor${from ? ` from ${place(from)}` : ''} without pulling at its cable.`,
    `Put it between two fins at ${place(to)}, as deep as they are; bend the fins on either side to grip it.`,
    'Lead the cable so that neither blade nor heater can reach it; blade and guard back on, turn the blade by hand once.',
    'Power the condensing unit first, then the evaporator.',
    'Let it run until the coil is cold, then start a defrost by hand and see it end by temperature.',
    'Read the difference it defrosts at back from the display, once now and once after the first defrost of its own.',
  ];
}
