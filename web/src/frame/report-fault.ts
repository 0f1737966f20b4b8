import { ElNotification } from 'element-plus';
import 'element-plus/theme-chalk/el-notification.css';
import type { App } from 'vue';

/** Faults told at most until the page is loaded again: one that comes with every frame must not bury the work. */
const MOST_TOLD = 3;

/**
 * Tells faults of the page that nothing else took: what went wrong, that the work is kept, and what to do. Nothing is swallowed: each
 * is also written to the console as it came.
 */
export function reportFaults(app: App): void {
  let told = 0;
  const tell = (error: unknown): void => {
    console.error(error); // eslint-disable-line no-console -- what nothing else took is for the one who looks into it
    if (told >= MOST_TOLD) return;
    told += 1;
    const words = error instanceof Error ? error.message : String(error);
    ElNotification({
      title: 'Something went wrong on this page',
      message: `${words.replace(/\.$/, '')}. Your edits are kept. Undo the last step, or load the page again.`,
      type: 'error',
      duration: 0,
    });
  };
  app.config.errorHandler = tell;
  window.addEventListener('unhandledrejection', ({ reason }) => tell(reason));
}
