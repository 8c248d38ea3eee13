import type { Cluster } from './postgres.mjs';

/** What TypeScript programs use of `watch.mjs`. */
export function watchCluster(cluster: Cluster): () => void;
