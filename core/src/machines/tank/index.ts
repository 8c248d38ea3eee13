export { endsAt, type Pour, runTank, secondsBetween, tankOf } from './tank.ts';
