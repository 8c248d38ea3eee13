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
import { startOffline } from './shared/layout/programVersion.ts';

// The type of a .vue file is known to vue-tsc alone.
// eslint-disable-next-line @typescript-eslint/no-unsafe-argument
const app = createApp(App);
app.use(createPinia());
app.use(createAppRouter());
app.mount('#app');
if (import.meta.env.PROD && 'serviceWorker' in navigator) void startOffline();
// Without a service worker the pages not opened yet are loaded ahead, so that a station can be opened while the server is away.
else addEventListener('load', () => setTimeout(() => void loadPages(), 1000));
