/// <reference types="vite/client" />
declare module '*.vue' {
  import type { DefineComponent } from 'vue';
  const component: DefineComponent<object, object, unknown>;
  export default component;
}

/** The reader itself; only that it is there is known. */
declare module 'pdfjs-dist/build/pdf.worker.mjs';
