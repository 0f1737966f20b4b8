import vue from '@vitejs/plugin-vue';
import Components from 'unplugin-vue-components/vite';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [vue(), Components({ resolvers: [ElementPlusResolver()], dts: false, dirs: [] })],
  worker: { format: 'es', plugins: () => [] },
  build: {
    rolldownOptions: { checks: { pluginTimings: false } },
    target: 'es2022',
    assetsInlineLimit: 0,
    chunkSizeWarningLimit: 900,
  },
  optimizeDeps: { include: ['element-plus', 'comlink', 'd3-zoom', 'd3-selection'] },
  server: { proxy: { '/api': 'http://127.0.0.1:5180' } },
});
