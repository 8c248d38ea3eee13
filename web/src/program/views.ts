import { defineAsyncComponent, type Component } from 'vue';

/** Views of Program beside the plan, each loaded when first opened: a technician at the cabinet does not wait for the tuning. */
const loaders = {
  fans: () => import('./fans/FansView.vue'),
  tools: () => import('./tools/ToolsView.vue'),
  forecast: () => import('./forecast/ForecastView.vue'),
  tune: () => import('./tuning/TuneView.vue'),
  cabinet: () => import('./CabinetView.vue'),
  compare: () => import('./CompareView.vue'),
  like: () => import('./like/LikeUnitsView.vue'),
};

const lazy = (name: keyof typeof loaders): Component =>
  defineAsyncComponent(loaders[name] as () => Promise<Component>);
export const FansView = lazy('fans');
export const ToolsView = lazy('tools');
export const ForecastView = lazy('forecast');
export const TuneView = lazy('tune');
export const CabinetView = lazy('cabinet');
export const CompareView = lazy('compare');
export const LikeUnitsView = lazy('like');

/** Loads them all, so that each can be opened while the server is away. */
export const loadViews = (): Promise<unknown> =>
  Promise.allSettled(Object.values(loaders).map((load) => load()));
