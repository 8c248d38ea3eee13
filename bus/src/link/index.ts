export { LinkRefused, runLink } from './link.ts';
