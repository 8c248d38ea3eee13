export * from './applications.ts';
export * from './define.ts';
export * from './dictionary.ts';
export * from './value.ts';
export * from './sameValue.ts';
export * from './quiet.ts';
export * from './validate.ts';
export * from './file.ts';
