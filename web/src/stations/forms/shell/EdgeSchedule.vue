<script setup lang="ts">
import { computed } from 'vue';
import { formatAngle, formatLength } from '@grain-fold/core/units';
import FoldAway from '../../../kit/FoldAway.vue';
import { useAirframe } from '../../../stores/airframe/airframe.ts';
import type { ShellDesk } from '../use-forms.ts';

/** The bevel schedule: every edge with its true angle, how it is made, and to what each side is cut. */
const props = defineProps<{ desk: ShellDesk }>();
const work = useAirframe();
const rows = computed(() => (props.desk.made.value?.figures?.edges ?? []).filter(({ way }) => way !== 'flat'));
</script>

<template>
  <section aria-label="Bevel schedule">
    <FoldAway :title="`Bevels, edge by edge · ${rows.length}`">
      <div role="table" aria-label="Bevels, edge by edge">
        <div role="row" class="head">
          <span role="columnheader">Edge</span><span role="columnheader">turns</span
          ><span role="columnheader">a side</span><span role="columnheader">long</span>
        </div>
        <div v-for="row in rows" :key="row.edge" role="row">
          <span role="rowheader"
            >{{ row.words }}<small>{{ row.way }}</small></span
          >
          <span role="cell" class="figures">{{ formatAngle(row.turnDegrees) }}</span>
          <span role="cell" class="figures">{{ formatAngle(row.bevelDegrees) }}</span>
          <span role="cell" class="figures">{{ formatLength(row.lengthMm, work.unit) }}</span>
        </div>
      </div>
    </FoldAway>
  </section>
</template>

<style scoped>
[role='row'] {
  display: grid;
  grid-template-columns: 1fr 56px 56px 56px;
  gap: 4px;
  padding: 3px 0;
  font-size: 13.5px;
  border-bottom: 1px solid var(--rule, #e8dfc6);
}
span:not(:first-child) {
  text-align: right;
}
.figures {
  font-weight: 600;
}
small {
  display: block;
  color: var(--ink-soft);
}
.head {
  color: var(--label);
}
</style>
