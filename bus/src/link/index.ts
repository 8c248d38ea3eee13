export { type LinkAnswer, type LinkCall, LinkRefused, runLink } from './link.ts';
