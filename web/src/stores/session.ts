import { defineStore } from 'pinia';
import { ref } from 'vue';
import type { Me } from '@grain-fold/contract';
import { sessionApi } from '../api/airframes.ts';

/** Who is signed in on this browser. */
export const useSession = defineStore('session', () => {
  const me = ref<Me | null>(null);
  const hasDemo = ref(false);
  const isKnown = ref(false);

  async function refresh(): Promise<void> {
    const answer = await sessionApi.who();
    me.value = answer.me;
    hasDemo.value = answer.hasDemo;
    isKnown.value = true;
  }
  const signUp = async (name: string, password: string): Promise<void> => {
    me.value = await sessionApi.signUp(name, password);
  };
  const signIn = async (name: string, password: string): Promise<void> => {
    me.value = await sessionApi.signIn(name, password);
  };
  const openDemo = async (): Promise<void> => {
    me.value = await sessionApi.openDemo();
  };
  const changePassword = async (present: string, next: string): Promise<void> => {
    me.value = await sessionApi.changePassword(present, next);
  };
  async function signOut(): Promise<void> {
    await sessionApi.signOut();
    me.value = null;
  }
  return { me, hasDemo, isKnown, refresh, signUp, signIn, openDemo, changePassword, signOut };
});
