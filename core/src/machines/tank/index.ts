export { endsAt, pourInto, secondsBetween, stepTank, type Tank, type TankFacts, tankOf } from './tank.ts';
