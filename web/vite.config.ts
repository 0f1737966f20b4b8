import vue from '@vitejs/plugin-vue';
import Components from 'unplugin-vue-components/vite';
import { ElementPlusResolver } from 'unplugin-vue-components/resolvers';
import { defineConfig, type Plugin } from 'vite';

/** Element Plus's own styles go into a cascade layer: ours then win by being ours, whatever their order or weight. */
const elementPlusInALayer: Plugin = {
  name: 'element-plus-in-a-layer',
  enforce: 'pre',
  transform(code, id) {
    const isTheirs = id.includes('element-plus/theme-chalk/') && id.split('?')[0]!.endsWith('.css');
    return isTheirs ? { code: `@layer element-plus {\n${code}\n}`, map: null } : undefined;
  },
};

export default defineConfig({
  plugins: [elementPlusInALayer, vue(), Components({ resolvers: [ElementPlusResolver()], dts: false, dirs: [] })],
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
