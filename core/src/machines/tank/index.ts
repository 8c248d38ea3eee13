export { endsAt, pourInto, secondsBetween, stepTank, type Tank, tankOf } from './tank.ts';
