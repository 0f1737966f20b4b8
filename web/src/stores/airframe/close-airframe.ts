import { getActivePinia } from 'pinia';

/** Saves and closes the airframe that is open, if one is. Its store, and the core with it, is loaded only where one was opened. */
export async function closeAirframe(): Promise<void> {
  if (!getActivePinia()?.state.value.airframe) return;
  const { useAirframe } = await import('./airframe.ts');
  await useAirframe().close();
}
