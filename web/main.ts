import { PiniaColada } from '@pinia/colada';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './shell/App.vue';
import { router } from './shell/router.ts';
import { startTheme } from './shell/theme.ts';
import './style.css';

startTheme();
createApp(App).use(createPinia()).use(PiniaColada).use(router).mount('#app');

// Once the page is there: what makes it open without the server must not make it open later with it.
if ('serviceWorker' in navigator)
  window.addEventListener(
    'load',
    () => void import('./shell/newVersion.ts').then(({ watchForNewVersion }) => watchForNewVersion()),
  );
