<script setup lang="ts">
import { DocumentAdd } from '@element-plus/icons-vue';
import type { UploadFile } from 'element-plus';
import { ref } from 'vue';
import { EXAMPLES, exampleFile } from './examples.ts';

/** Before there is a drawing: what may come in, from where, and examples to try. */
defineProps<{
  fault: string;
  isReading: boolean;
  fileName: string;
  progress?: { readonly done: number; readonly of: number };
}>();
const emit = defineEmits<{ open: [file: File]; stop: [] }>();

const takeFile = ({ raw }: UploadFile): void => {
  if (raw) emit('open', raw);
};
const missing = ref('');
async function tryExample(name: string): Promise<void> {
  const file = await exampleFile(name).catch(() => undefined);
  missing.value = file ? '' : `${name} could not be fetched from the server.`;
  if (file) emit('open', file);
}
</script>

<template>
  <div class="start">
    <div class="box">
      <h1>Bring in a drawing</h1>
      <p class="about">
        From somebody's plan to clean parts: outlines, holes, slots and folds. Pages of a tiled PDF are joined, lines
        drawn twice are kept once, and nothing changes until you take it in.
      </p>
      <el-alert v-if="fault || missing" type="error" :title="fault || missing" :closable="false" class="fault" />
      <div v-if="isReading" class="reading-file" role="status">
        <p>
          Reading {{ fileName
          }}<span v-if="progress" class="figures">, page {{ progress.done }} of {{ progress.of }}</span> …
        </p>
        <el-progress
          :percentage="progress ? (100 * progress.done) / progress.of : 100"
          :indeterminate="!progress"
          :show-text="false"
        />
        <el-button @click="emit('stop')">Stop</el-button>
      </div>
      <template v-else>
        <el-upload
          drag
          accept=".svg,.dxf,.pdf,.dat,.csv,.txt,.json"
          :auto-upload="false"
          :show-file-list="false"
          :on-change="takeFile"
          aria-label="Choose a file"
        >
          <el-icon class="sign"><DocumentAdd /></el-icon>
          <p><b>Choose a file</b>, or drop one here</p>
          <p class="kinds">SVG · DXF · PDF · wing section (.dat) · points (.csv) · parts of another airframe</p>
        </el-upload>
        <h2 class="eyebrow">Plans to try with</h2>
        <ul class="examples">
          <li v-for="{ name, words } in EXAMPLES" :key="name">
            <el-button text class="example" @click="tryExample(name)"
              ><b>{{ name }}</b> <span>{{ words }}</span></el-button
            >
          </li>
        </ul>
      </template>
    </div>
  </div>
</template>

<style scoped>
.start {
  flex: 1;
  background: var(--mat);
  display: flex;
  overflow: auto;
  padding: 24px;
}
.box {
  margin: auto;
  width: min(620px, 100%);
  background: var(--foam);
  border-radius: var(--radius);
  padding: 28px 32px 24px;
}
.about {
  margin: 6px 0 18px;
  color: var(--ink-soft);
}
.fault {
  margin-bottom: 14px;
}
.reading-file {
  display: grid;
  gap: 12px;
  justify-items: start;
}
.reading-file .el-progress {
  width: 100%;
}
.sign {
  font-size: 40px;
  color: var(--marigold-deep);
}
.kinds {
  color: var(--ink-soft);
  font-size: 13px;
  margin-top: 4px;
}
h2 {
  margin-top: 20px;
}
.examples {
  list-style: none;
}
.example {
  width: 100%;
  justify-content: flex-start;
  border-bottom: 1px solid var(--foam-edge);
  padding: 8px 0;
}
.example b {
  min-width: 150px;
  text-align: left;
  font-weight: 600;
}
.example span {
  font-weight: 400;
  color: var(--ink-soft);
  text-align: left;
}
</style>
