import './styles.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { createAppRouter, loadPages } from './router.ts';
import { bringFonts } from './shared/layout/bringFonts.ts';
import { bringProgram } from './shared/layout/bringProgram.ts';

// The type of a .vue file is known to vue-tsc alone.
// eslint-disable-next-line @typescript-eslint/no-unsafe-argument
const app = createApp(App);
app.use(createPinia());
const router = createAppRouter();
app.use(router);
app.mount('#app');
void bringFonts(router.isReady(), () => import('./fonts.ts'));
void bringProgram(loadPages);
