<script setup lang="ts">
import { ElMessage, ElMessageBox } from 'element-plus';
import 'element-plus/theme-chalk/el-message-box.css';
import dayjs from 'dayjs';
import { computed, onMounted, ref } from 'vue';
import { useRouter } from 'vue-router';
import type { AirframeLine } from '@grain-fold/contract';
import { airframesApi, documentAddress } from '../../api/airframes.ts';
import { ApiError } from '../../api/client.ts';
import GrainFoldMark from '../../components/GrainFoldMark.vue';
import PartThumbnail from '../../components/PartThumbnail.vue';
import { useAirframe } from '../../stores/airframe.ts';
import { useSession } from '../../stores/session.ts';
import NewAirframeDialog from './NewAirframeDialog.vue';

const LARGEST_FILE = 8 * 1024 * 1024;

const session = useSession();
const work = useAirframe();
const router = useRouter();
const lines = ref<readonly AirframeLine[]>([]);
const isLoaded = ref(false);
const showsAway = ref(false);
const isMaking = ref(false);
const chooser = ref<HTMLInputElement>();
const fault = ref('');

const shown = computed(() => lines.value.filter((line) => (line.putAwayAt !== null) === showsAway.value));
const awayCount = computed(() => lines.value.filter((line) => line.putAwayAt !== null).length);

async function attempt(action: () => Promise<void>): Promise<void> {
  fault.value = '';
  try {
    await action();
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    fault.value = error.message;
  }
}
const load = (): Promise<void> =>
  attempt(async () => {
    lines.value = await airframesApi.list();
    isLoaded.value = true;
  });
onMounted(async () => {
  await work.close();
  await load();
});

const open = (id: string): Promise<unknown> => router.push({ name: 'parts', params: { id } });
const create = (name: string, unit: 'mm' | 'in'): Promise<void> =>
  attempt(async () => {
    const opened = await airframesApi.create(name, unit);
    await open(opened.airframe.id);
  });
const duplicate = (line: AirframeLine): Promise<void> =>
  attempt(async () => {
    await airframesApi.duplicate(line.id);
    await load();
  });
async function rename(line: AirframeLine): Promise<void> {
  const answer = await ElMessageBox.prompt('New name', `Rename ${line.name}`, {
    inputValue: line.name,
    inputPattern: /^(?=.*\S).{1,80}$/,
    inputErrorMessage: '1 to 80 characters.',
    confirmButtonText: 'Rename',
    cancelButtonText: 'Cancel',
  }).catch(() => undefined);
  if (answer)
    await attempt(async () => {
      await airframesApi.rename(line.id, answer.value);
      await load();
    });
}
const setAway = (line: AirframeLine, isAway: boolean): Promise<void> =>
  attempt(async () => {
    await (isAway ? airframesApi.putAway(line.id) : airframesApi.bringBack(line.id));
    await load();
    ElMessage({
      message: isAway ? `${line.name} is put away. Bring it back from "Put away".` : `${line.name} is back.`,
      grouping: true,
    });
  });
async function importFile(event: Event): Promise<void> {
  const input = event.target as HTMLInputElement;
  const file = input.files?.[0];
  input.value = '';
  if (!file) return;
  await attempt(async () => {
    if (file.size > LARGEST_FILE)
      throw new ApiError({
        code: 'FILE_TOO_LARGE',
        title: '',
        detail: `${file.name} has ${(file.size / 1048576).toFixed(1)} MiB; at most 8 are taken in.`,
        mend: 'Nothing was changed.',
      });
    const opened = await airframesApi.import(await file.text());
    ElMessage({ message: `${opened.airframe.name} is imported.` });
    await load();
  });
}
async function signOut(): Promise<void> {
  await session.signOut();
  await router.push('/');
}
</script>

<template>
  <div class="page">
    <header>
      <p class="brand"><GrainFoldMark /> Grain Fold</p>
      <span class="who">{{ session.me?.name }}</span>
      <button class="button quiet small" type="button" @click="signOut">Sign out</button>
    </header>
    <main id="main">
      <div class="head">
        <h1>{{ showsAway ? 'Put away' : 'Airframes' }}</h1>
        <button v-if="awayCount > 0 || showsAway" class="button quiet" type="button" @click="showsAway = !showsAway">
          {{ showsAway ? 'Back to airframes' : `Put away ${awayCount}` }}
        </button>
        <span class="space" />
        <button class="button" type="button" @click="chooser?.click()">Import a file</button>
        <input
          ref="chooser"
          class="visually-hidden"
          type="file"
          accept=".json,.grainfold.json"
          tabindex="-1"
          aria-label="Project file to import"
          @change="importFile"
        />
        <button class="button strong" type="button" @click="isMaking = true">New airframe</button>
      </div>
      <p v-if="fault" class="fault" role="alert">{{ fault }}</p>
      <ul v-if="shown.length > 0" class="cards">
        <li v-for="line in shown" :key="line.id" class="card">
          <component
            :is="line.putAwayAt ? 'div' : 'a'"
            class="picture"
            :href="line.putAwayAt ? undefined : `/airframes/${line.id}/parts`"
            :aria-label="`Open ${line.name}`"
            @click.prevent="line.putAwayAt || open(line.id)"
          >
            <PartThumbnail v-if="line.thumbnail.length > 0" :shapes="line.thumbnail" />
            <span v-else class="blank">nothing drawn yet</span>
          </component>
          <div class="text">
            <h2>{{ line.name }}</h2>
            <p class="figures">
              <b>{{ line.parts }}</b> {{ line.parts === 1 ? 'part' : 'parts' }} · <b>{{ line.boards ?? '–' }}</b>
              {{ line.boards === 1 ? 'board' : 'boards' }} · {{ dayjs(line.savedAt).format('D MMM YYYY, HH:mm') }}
            </p>
            <div class="doings">
              <template v-if="line.putAwayAt"
                ><button class="button small" type="button" @click="setAway(line, false)">Bring back</button></template
              >
              <template v-else>
                <button class="button small strong" type="button" @click="open(line.id)">Open</button>
                <button class="button small quiet" type="button" @click="rename(line)">Rename</button>
                <button class="button small quiet" type="button" @click="duplicate(line)">Duplicate</button>
                <a class="button small quiet" :href="documentAddress(line.id, 'project-file')" download>Export</a>
                <button class="button small quiet" type="button" @click="setAway(line, true)">Put away</button>
              </template>
            </div>
          </div>
        </li>
      </ul>
      <div v-else-if="isLoaded" class="empty">
        <h2>{{ showsAway ? 'Nothing is put away' : 'No airframes yet' }}</h2>
        <p>
          {{
            showsAway
              ? 'What you put away waits here until you bring it back.'
              : 'An airframe holds the drawn parts, your boards, and everything made from them.'
          }}
        </p>
        <button v-if="!showsAway" class="button strong" type="button" @click="isMaking = true">New airframe</button>
      </div>
    </main>
    <NewAirframeDialog v-model="isMaking" @create="create" />
  </div>
</template>

<style scoped>
.page {
  min-height: 100%;
  background: var(--ticket);
}
header {
  display: flex;
  align-items: center;
  gap: 14px;
  padding: 16px 40px;
  background: var(--tray);
  color: #eef3f0;
}
header .button:hover {
  background: #29474f;
}
.brand {
  display: flex;
  gap: 10px;
  align-items: center;
  font-size: 20px;
  font-weight: 600;
  flex: 1;
}
.who {
  color: #c7d5d5;
}
main {
  padding: 28px 40px 60px;
  max-width: 1240px;
  margin: 0 auto;
}
.head {
  display: flex;
  align-items: center;
  gap: 12px;
  margin-bottom: 20px;
}
.head h1 {
  font-size: 26px;
}
.space {
  flex: 1;
}
.fault {
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 10px 14px;
  margin-bottom: 16px;
}
.cards {
  list-style: none;
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(360px, 1fr));
  gap: 22px;
}
.card {
  background: var(--foam);
  border-radius: var(--radius);
  overflow: hidden;
  border: 1px solid var(--ticket-line);
}
.picture {
  display: flex;
  height: 210px;
  background: var(--mat);
  padding: 16px;
  align-items: center;
  justify-content: center;
}
.picture svg {
  width: 100%;
  height: 100%;
}
.blank {
  color: var(--mat-text);
}
.text {
  padding: 14px 16px 12px;
}
.text p {
  color: var(--ink-soft);
  font-size: 15px;
  margin-top: 2px;
}
.text b {
  color: var(--ink);
  font-weight: 600;
}
.doings {
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  margin-top: 10px;
}
.empty {
  color: var(--ink);
  padding: 80px 0;
}
</style>
