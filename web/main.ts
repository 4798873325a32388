import { PiniaColada } from '@pinia/colada';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './shell/App.vue';
import { router } from './shell/router.ts';
import { startTheme } from './shell/theme.ts';
import './style.css';

startTheme();
createApp(App).use(createPinia()).use(PiniaColada).use(router).mount('#app');
