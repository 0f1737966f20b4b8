import { onBeforeUnmount, ref, type Ref } from 'vue';
import { useRouter } from 'vue-router';
import { ApiError } from '../api/client.ts';
import { useSession } from '../stores/session.ts';

const AGAIN_MS = 3000;

/** Asks for what a page is about until it is there: while the server or its database is away that is told, and tried again by itself. */
export function useUntilThere(get: () => Promise<void>): {
  readonly get: () => Promise<void>;
  readonly fault: Ref<string>;
  /** Whether it is waited for. */
  readonly isAway: Ref<boolean>;
} {
  const session = useSession();
  const router = useRouter();
  const fault = ref(''),
    isAway = ref(false);
  let timer: ReturnType<typeof setTimeout> | undefined;
  async function ask(): Promise<void> {
    clearTimeout(timer);
    try {
      if (!session.isKnown) await session.refresh();
      if (!session.me) {
        await router.push({ name: 'welcome', query: { next: router.currentRoute.value.fullPath } });
        return;
      }
      await get();
      fault.value = '';
      isAway.value = false;
    } catch (error) {
      if (!(error instanceof ApiError)) throw error;
      fault.value = error.message;
      isAway.value = error.code === 'OFFLINE' || error.code === 'DATABASE_AWAY';
      if (isAway.value) timer = setTimeout(() => void ask(), AGAIN_MS);
    }
  }
  onBeforeUnmount(() => clearTimeout(timer));
  return { get: ask, fault, isAway };
}
