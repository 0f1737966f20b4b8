import fs from 'node:fs';
import { createRequire } from 'node:module';
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

/** The licences of the fonts, which ship with the pages. */
const fontLicences: Plugin = {
  name: 'font-licences',
  generateBundle() {
    for (const family of ['barlow', 'barlow-condensed'])
      this.emitFile({
        type: 'asset',
        fileName: `licences/${family}.txt`,
        source: fs.readFileSync(createRequire(import.meta.url).resolve(`@fontsource/${family}/LICENSE`)),
      });
  },
};

export default defineConfig({
  plugins: [
    elementPlusInALayer,
    fontLicences,
    vue(),
    Components({ resolvers: [ElementPlusResolver()], dts: false, dirs: [] }),
  ],
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
