export { type KitGroup, kitList, type SiteMeasures } from './kit.ts';
