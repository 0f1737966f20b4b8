<script setup lang="ts">
import { ElMessage, ElMessageBox, type UploadFile } from 'element-plus';
import 'element-plus/theme-chalk/el-message-box.css';
import dayjs from 'dayjs';
import { DocumentAdd, Download, Plus, Upload } from '@element-plus/icons-vue';
import { useDropZone } from '@vueuse/core';
import { onMounted, ref, useTemplateRef } from 'vue';
import { useRouter } from 'vue-router';
import type { AirframeLine } from '@grain-fold/contract';
import { airframesApi, documentAddress, pictureAddress, sessionApi } from '../../api/airframes.ts';
import { ApiError } from '../../api/client.ts';
import AirframePicture from '../../pictures/AirframePicture.vue';
import GrainFoldMark from '../../pictures/GrainFoldMark.vue';
import { closeAirframe } from '../../stores/airframe/close-airframe.ts';
import { useSession } from '../../stores/session.ts';
import { useUntilThere } from '../../composables/use-until-there.ts';
import AccountDialog from './AccountDialog.vue';
import { importPacked } from './import-packed.ts';
import NewAirframeDialog from './NewAirframeDialog.vue';

const LARGEST_FILE = 8 * 1024 * 1024;

const session = useSession();
const router = useRouter();
const lines = ref<readonly AirframeLine[]>([]);
const total = ref(0);
const awayCount = ref(0);
const isAccountOpen = ref(false);
const isLoaded = ref(false);
const showsAway = ref(false);
const isMaking = ref(false);
/** Whether a drawing is brought in as soon as the airframe is there. */
const isForDrawing = ref(false);
function make(withDrawing: boolean): void {
  isForDrawing.value = withDrawing;
  isMaking.value = true;
}
const takeFile = ({ raw }: UploadFile): void => {
  if (raw) void importFile(raw);
};
/** A project file dropped anywhere on the page is taken in. */
const page = useTemplateRef<HTMLElement>('page');
const { isOverDropZone } = useDropZone(page, {
  multiple: false,
  onDrop: (files) => {
    if (files?.[0]) void importFile(files[0]);
  },
});
const fault = ref('');

async function attempt(action: () => Promise<void>): Promise<void> {
  fault.value = '';
  try {
    await action();
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    fault.value = error.message;
  }
}
const { get: load, fault: loadFault } = useUntilThere(async () => {
  // As many as were seen before, so that nothing that was just done is out of sight.
  const seen = lines.value.length;
  lines.value = [];
  do await more();
  while (lines.value.length < Math.min(seen, total.value));
  isLoaded.value = true;
});
/** The next lines of the list. */
async function more(): Promise<void> {
  const page = await airframesApi.list(showsAway.value, lines.value.length);
  const known = new Set(lines.value.map(({ id }) => id));
  lines.value = [...lines.value, ...page.lines.filter(({ id }) => !known.has(id))];
  // A list that got shorter meanwhile has no more than it told.
  total.value = page.lines.length === 0 ? lines.value.length : page.total;
  awayCount.value = page.away;
}
function turnOver(): void {
  showsAway.value = !showsAway.value;
  lines.value = [];
  isLoaded.value = false;
  void load();
}
const resetDemo = (): Promise<void> =>
  attempt(async () => {
    await sessionApi.resetDemo();
    await load();
    ElMessage({ message: 'The demo workshop is as it was.' });
  });
onMounted(async () => {
  await closeAirframe();
  await load();
});

const open = (id: string): Promise<unknown> => router.push({ name: 'parts', params: { id } });
const create = (name: string, unit: 'mm' | 'in'): Promise<void> =>
  attempt(async () => {
    const opened = await airframesApi.create(name, unit);
    if (isForDrawing.value) await router.push({ name: 'bring-in', params: { id: opened.airframe.id } });
    else await open(opened.airframe.id);
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
/** Drawings, which are brought in and not imported. */
const PACKED = /\.zip$/i;
const DRAWING = /\.(svg|dxf|pdf|dat|csv)$/i;
async function importFile(file: File): Promise<void> {
  await attempt(async () => {
    if (DRAWING.test(file.name))
      throw new ApiError({
        code: 'BAD_REQUEST',
        title: '',
        detail: `${file.name} is a drawing, not a project file.`,
        mend: 'Press "Bring in a plan" and choose it there.',
      });
    if (PACKED.test(file.name)) {
      const opened = await importPacked(file);
      ElMessage({ message: `${opened.airframe.name} is imported with its pictures.` });
      return load();
    }
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
  <div ref="page" class="page" :class="{ over: isOverDropZone }">
    <header>
      <p class="brand"><GrainFoldMark /> Grain Fold</p>
      <span class="who">{{ session.me?.name }}</span>
      <el-button v-if="session.me?.isDemo" text size="small" @click="resetDemo">Put the demo back as it was</el-button>
      <el-button v-else text size="small" @click="isAccountOpen = true">Account</el-button>
      <el-button text size="small" @click="signOut">Sign out</el-button>
    </header>
    <main id="main">
      <div class="head">
        <h1>{{ showsAway ? 'Put away' : 'Airframes' }}</h1>
        <el-button text v-if="awayCount > 0 || showsAway" @click="turnOver">
          {{ showsAway ? 'Back to airframes' : `Put away ${awayCount}` }}
        </el-button>
        <span class="space" />
        <el-upload
          accept=".json,.grainfold.json,.zip"
          :auto-upload="false"
          :show-file-list="false"
          :on-change="takeFile"
        >
          <span class="el-button"
            ><el-icon><Upload /></el-icon><span>Import a file</span></span
          >
        </el-upload>
        <el-button :icon="DocumentAdd" @click="make(true)">Bring in a plan</el-button>
        <el-button type="primary" :icon="Plus" @click="make(false)">New airframe</el-button>
      </div>
      <el-alert v-if="fault || loadFault" class="fault" type="error" :title="fault || loadFault" :closable="false" />
      <ul v-if="lines.length > 0" class="cards">
        <li v-for="line in lines" :key="line.id" class="card">
          <component
            :is="line.putAwayAt ? 'div' : 'a'"
            class="picture"
            :href="line.putAwayAt ? undefined : `/airframes/${line.id}/parts`"
            :aria-label="`Open ${line.name}`"
            @click.prevent="line.putAwayAt || open(line.id)"
          >
            <AirframePicture
              v-if="line.thumbnail.length > 0"
              :address="pictureAddress(line.id, line.version)"
              :shapes="line.thumbnail"
            />
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
                ><el-button size="small" @click="setAway(line, false)">Bring back</el-button></template
              >
              <template v-else>
                <el-button type="primary" size="small" @click="open(line.id)">Open</el-button>
                <el-button text size="small" @click="rename(line)">Rename</el-button>
                <el-button text size="small" @click="duplicate(line)">Duplicate</el-button>
                <el-button
                  text
                  size="small"
                  tag="a"
                  :icon="Download"
                  :href="documentAddress(line.id, 'export')"
                  download
                  >Export</el-button
                >
                <el-button text size="small" @click="setAway(line, true)">Put away</el-button>
              </template>
            </div>
          </div>
        </li>
      </ul>
      <el-skeleton v-else-if="!isLoaded && !fault && !loadFault" :rows="5" />
      <div v-else-if="isLoaded" class="empty">
        <h2>{{ showsAway ? 'Nothing is put away' : 'No airframes yet' }}</h2>
        <p>
          {{
            showsAway
              ? 'What you put away waits here until you bring it back.'
              : 'An airframe holds the drawn parts, your boards, and everything made from them. Make one, or drop a project file here.'
          }}
        </p>
        <el-button v-if="!showsAway" type="primary" @click="make(false)">New airframe</el-button>
      </div>
      <el-button v-if="lines.length > 0 && lines.length < total" class="more" @click="attempt(more)">
        Show more ({{ lines.length }} of {{ total }})
      </el-button>
    </main>
    <NewAirframeDialog v-model="isMaking" :is-for-drawing="isForDrawing" @create="create" />
    <AccountDialog v-model="isAccountOpen" />
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
header .el-button {
  color: inherit;
}
header .el-button:hover {
  background: var(--mat-raised);
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
  margin-bottom: 16px;
}
.over {
  outline: 3px dashed var(--marigold);
  outline-offset: -10px;
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
.picture > * {
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
.more {
  margin-top: 22px;
}
.empty {
  color: var(--ink);
  padding: 80px 0;
}
</style>
