import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow-semi-condensed/latin-500.css';
import '@fontsource/barlow-semi-condensed/latin-600.css';
import '@fontsource/spline-sans-mono/latin-400.css';
import '@fontsource/spline-sans-mono/latin-600.css';
import './shared/ui/displayFont.css';
import './styles.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { createAppRouter, loadPages } from './router.ts';
import { bringProgram } from './shared/layout/bringProgram.ts';

// The type of a .vue file is known to vue-tsc alone.
// eslint-disable-next-line @typescript-eslint/no-unsafe-argument
const app = createApp(App);
app.use(createPinia());
app.use(createAppRouter());
app.mount('#app');
void bringProgram(loadPages);
