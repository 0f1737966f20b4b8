<script setup lang="ts">
import type { FormInstance } from 'element-plus';
import { computed, reactive, ref, useTemplateRef } from 'vue';
import { useRoute, useRouter } from 'vue-router';
import { airframesApi } from '../../api/airframes.ts';
import { ApiError } from '../../api/client.ts';
import { contractRule } from '../../kit/contract-rule.ts';
import GrainFoldMark from '../../pictures/GrainFoldMark.vue';
import { useSession } from '../../stores/session.ts';

const session = useSession();
const router = useRouter();
const route = useRoute();
const account = reactive({ name: '', password: '' });
const isNew = ref(false);
const isBusy = ref(false);
const fault = ref('');

async function enter(how: () => Promise<void>, then?: () => Promise<string>): Promise<void> {
  isBusy.value = true;
  fault.value = '';
  try {
    await how();
    const next = then
      ? await then()
      : typeof route.query.next === 'string' && route.query.next.startsWith('/airframes')
        ? route.query.next
        : '/airframes';
    await router.push(next);
  } catch (error) {
    fault.value =
      error instanceof ApiError
        ? error.problem?.fields?.map(({ field, message }) => `${field} ${message}`).join('. ') || error.message
        : String(error);
  } finally {
    isBusy.value = false;
  }
}
/** An airframe of its own for a made-up plan. @returns where it is brought in */
async function tryPlan(): Promise<string> {
  const { airframe } = await airframesApi.create('Dunlin 640', 'mm');
  return `/airframes/${airframe.id}/bring-in?example=dunlin-tiled.pdf`;
}
const form = useTemplateRef<FormInstance>('form');
const rules = computed(() => {
  const rule = isNew.value ? 'SignUp' : 'SignIn';
  return { name: contractRule(rule, 'name', 'A name'), password: contractRule(rule, 'password', 'A password') };
});
function changeDoor(): void {
  isNew.value = !isNew.value;
  fault.value = '';
  form.value?.clearValidate();
}
async function submit(): Promise<void> {
  if (!(await form.value?.validate().catch(() => false))) return;
  const { name, password } = account;
  await enter(() => (isNew.value ? session.signUp(name, password) : session.signIn(name, password)));
}
</script>

<template>
  <main id="main" class="welcome">
    <section class="pitch">
      <p class="brand"><GrainFoldMark /> Grain Fold</p>
      <h1>From a drawn outline to parts you can cut</h1>
      <p class="lead">
        Draw a part with its folds and bevels. Grain Fold prints it in true size on home paper, lays it on as few boards
        as it can, and writes the cut list.
      </p>
      <svg
        class="sample"
        viewBox="0 0 560 230"
        role="img"
        aria-label="A part with two mitre grooves, a bevel and a hole"
      >
        <path
          d="M20 62 86 24 420 4 540 62V168L420 226 86 206 20 168Z"
          fill="var(--foam)"
          stroke="var(--ink)"
          stroke-width="3"
        />
        <g fill="none" stroke="var(--ink)">
          <path d="M21 72H539M21 92H539M21 138H539M21 158H539" stroke-width="1" />
          <path d="M20 82H540M20 148H540" stroke-width="2.4" stroke-dasharray="20 9" />
          <path d="M34 70V160" stroke-width="1" />
          <path
            d="M21 84 34 71M21 97 34 84M21 110 34 97M21 123 34 110M21 136 34 123M21 149 34 136M21 160 34 149"
            stroke-width="1.2"
          />
          <circle cx="392" cy="115" r="15" stroke-width="3" fill="var(--mat)" />
        </g>
        <g font-family="var(--figures)" font-weight="600" font-size="15" text-anchor="middle" fill="var(--ink)">
          <rect x="244" y="70" width="74" height="23" fill="var(--foam)" />
          <text x="281" y="87">fold 90°</text>
          <rect x="244" y="136" width="74" height="23" fill="var(--foam)" />
          <text x="281" y="153">fold 90°</text>
        </g>
      </svg>
      <ol class="flow figures">
        <li>Draw</li>
        <li>Scale</li>
        <li>Print</li>
        <li>Nest</li>
        <li>Cut</li>
      </ol>
    </section>
    <section class="door" aria-label="Sign in">
      <div v-if="session.hasDemo" class="demo">
        <h2>Look around first</h2>
        <p>Three airframes, drawn and nested. Nothing to type.</p>
        <el-button type="primary" :disabled="isBusy" @click="enter(session.openDemo)">
          Open the demo workshop
        </el-button>
        <el-button text :disabled="isBusy" @click="enter(session.openDemo, tryPlan)"
          >Try it with a plan of twelve pages</el-button
        >
      </div>
      <el-form
        ref="form"
        :model="account"
        :rules="rules"
        label-position="top"
        hide-required-asterisk
        @submit.prevent="submit"
      >
        <h2>{{ isNew ? 'Open a workshop of your own' : 'Your workshop' }}</h2>
        <el-form-item label="Name" prop="name">
          <el-input v-model="account.name" name="name" autocomplete="username" :maxlength="40" />
        </el-form-item>
        <el-form-item label="Password" prop="password">
          <el-input
            v-model="account.password"
            name="password"
            type="password"
            :autocomplete="isNew ? 'new-password' : 'current-password'"
            :maxlength="200"
          />
        </el-form-item>
        <p v-if="isNew" class="hint">10 characters or more.</p>
        <el-alert v-if="fault" type="error" :title="fault" :closable="false" />
        <div class="doings">
          <el-button type="primary" native-type="submit" :disabled="isBusy">{{
            isNew ? 'Sign up' : 'Sign in'
          }}</el-button>
          <el-button text @click="changeDoor">{{ isNew ? 'I have a workshop' : 'I am new here' }}</el-button>
        </div>
      </el-form>
    </section>
  </main>
</template>

<style scoped>
.welcome {
  min-height: 100%;
  display: grid;
  grid-template-columns: minmax(0, 1fr) 400px;
}
.pitch {
  background: var(--mat);
  color: #eef3f0;
  padding: 56px 64px;
  display: flex;
  flex-direction: column;
  gap: 18px;
  justify-content: center;
}
.brand {
  display: flex;
  gap: 10px;
  align-items: center;
  font-size: 22px;
  font-weight: 600;
}
.pitch h1 {
  font-size: 38px;
  max-width: 15em;
}
.lead {
  font-size: 17px;
  max-width: 34em;
  color: #cfdedd;
}
.sample {
  max-width: 560px;
  margin: 16px 0;
}
.flow {
  list-style: none;
  display: flex;
  gap: 26px;
  font-weight: 600;
  font-size: 17px;
  color: #e7b467;
}
.flow li + li::before {
  content: '→';
  margin-right: 26px;
  color: #7f9ca1;
}
.door {
  background: var(--ticket);
  padding: 48px 40px;
  display: flex;
  flex-direction: column;
  gap: 32px;
  justify-content: center;
}
.demo {
  padding-bottom: 28px;
  border-bottom: 2px dashed var(--ticket-line);
  display: grid;
  gap: 10px;
  justify-items: start;
}
.door h2 {
  margin-bottom: 12px;
}
.doings {
  display: flex;
  gap: 8px;
  margin-top: 12px;
}
.hint {
  color: var(--ink-soft);
}
@media (max-width: 860px) {
  .welcome {
    grid-template-columns: 1fr;
  }
  .pitch {
    padding: 32px;
  }
}
</style>
