// A thread does not inherit the loader that reads TypeScript: it registers one before it reads its first file.
import { register } from 'tsx/esm/api';

register();
const { default: run } = await import('./thread.ts');
export default run;
