import '@fontsource/barlow/latin-400.css';
import '@fontsource/barlow/latin-500.css';
import '@fontsource/barlow/latin-600.css';
import '@fontsource/barlow-condensed/latin-500.css';
import '@fontsource/barlow-condensed/latin-600.css';
import 'element-plus/theme-chalk/base.css';
import 'element-plus/theme-chalk/el-message.css';
import './styles/tokens.css';
import './styles/element.css';
import './styles/base.css';
import { createPinia } from 'pinia';
import { createApp } from 'vue';
import App from './App.vue';
import { reportFaults } from './frame/report-fault.ts';
import { router } from './router.ts';

const app = createApp(App).use(createPinia()).use(router);
reportFaults(app);
app.mount('#app');
