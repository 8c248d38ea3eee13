export * from './header.ts';
export * from './csv.ts';
