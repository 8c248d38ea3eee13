export { DEMO_MOUNT } from './mounts.ts';
export { paths, type RouteName } from './paths.ts';
export { tableNames, type TableName } from './tables.ts';
