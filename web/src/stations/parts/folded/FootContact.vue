<script setup lang="ts">
import type { ShownContact } from '@grain-fold/core/airframe';
import { useAirframe } from '../../../stores/airframe/airframe.ts';

/** How a piece touches what it stands on, and what can be done about it or added to it. */
const props = defineProps<{
  contact: ShownContact;
  /** Its edits wait until it is looked at again. */ isOld: boolean;
}>();
const work = useAirframe();
function carryOut(mend: ShownContact['mends'][number]): void {
  if ('edits' in mend) work.runEach(mend.edits, mend.label);
  else if ('command' in mend) work.run(props.contact.partId, mend.command);
}
</script>

<template>
  <div class="contact" :class="{ off: contact.isOff }">
    <p role="status">{{ contact.sentence }}</p>
    <div v-if="contact.mends.length > 0" class="doings">
      <el-button
        v-for="(mend, index) in contact.mends"
        :key="mend.label"
        size="small"
        :disabled="isOld"
        :type="contact.isOff && index === 0 ? 'primary' : undefined"
        @click="carryOut(mend)"
      >
        {{ mend.label }}
      </el-button>
    </div>
  </div>
</template>

<style scoped>
.contact {
  border-left: 4px solid var(--moss);
  padding: 4px 0 4px 10px;
  margin: 6px 0;
}
.off {
  border-left-color: var(--brick);
  background: var(--brick-pale);
}
.doings {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
  margin-top: 6px;
}
.doings .el-button {
  margin: 0;
  white-space: normal;
  height: auto;
  min-height: 28px;
  text-align: left;
}
</style>
