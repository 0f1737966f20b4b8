<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue';
import { useRoute } from 'vue-router';
import type { RevisionLine } from '@grain-fold/contract';
import { contextOf, quickFigures, resolveIn, type Airframe } from '@grain-fold/core/airframe';
import { boundsHeight, boundsWidth, svgPath } from '@grain-fold/core/geometry';
import { resolve } from '@grain-fold/core/resolve';
import { countOf, formatMass } from '@grain-fold/core/units';
import { airframesApi, revisionPictureAddress } from '../../api/airframes.ts';
import { ApiError } from '../../api/client.ts';
import DownloadButton from '../../kit/DownloadButton.vue';
import AirframePicture from '../../pictures/AirframePicture.vue';
import TrayBar from '../../frame/TrayBar.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import PartChange from './PartChange.vue';
import VersionList from './VersionList.vue';
import { compareAirframes } from './compare-airframes.ts';

const work = useAirframe();
const lines = shallowRef<readonly RevisionLine[]>([]);
const total = ref(0);
const chosen = ref<number>();
const then = shallowRef<Airframe>();
const fault = ref('');
const isBusy = ref(false);

async function guarded(action: () => Promise<void>): Promise<void> {
  fault.value = '';
  isBusy.value = true;
  try {
    await action();
  } catch (error) {
    if (!(error instanceof ApiError)) throw error;
    fault.value = error.message;
  } finally {
    isBusy.value = false;
  }
}
const load = (): Promise<void> =>
  guarded(async () => {
    const page = await airframesApi.revisions(work.airframe!.id, 0);
    // Older ones that were asked for stay: they never change.
    const oldest = page.lines.at(-1)?.number ?? 0;
    lines.value = [...page.lines, ...lines.value.filter(({ number }) => number < oldest)];
    total.value = page.total;
  });
const older = (): Promise<void> =>
  guarded(async () => {
    const page = await airframesApi.revisions(work.airframe!.id, lines.value.length);
    const oldest = lines.value.at(-1)?.number ?? Infinity;
    lines.value = [...lines.value, ...page.lines.filter(({ number }) => number < oldest)];
    total.value = page.total;
  });
watch(() => work.version, load, { immediate: true });
const look = (number: number): Promise<void> =>
  guarded(async () => {
    const found = await airframesApi.revision(work.airframe!.id, number);
    chosen.value = number;
    then.value = found;
  });
/** A version that another station sends here to be looked at. */
const asked = Number(useRoute().query['look']);
if (Number.isInteger(asked) && asked > 0) void look(asked);
const restore = (): Promise<void> =>
  guarded(async () => {
    if (chosen.value === undefined) return;
    await work.flush();
    work.adopt(await airframesApi.restore(work.airframe!.id, chosen.value));
    then.value = undefined;
    chosen.value = undefined;
  });

const differences = computed(() => (then.value && work.airframe ? compareAirframes(then.value, work.airframe) : []));
/** Changed parts drawn at most; the list names them all. */
const MOST_PICTURES = 12;
/** Parts whose lines differ, as they were and as they are. */
const changed = computed(() => {
  const [before, after] = [then.value, work.airframe];
  if (!before || !after) return [];
  const ids = [...new Set([...after.parts, ...before.parts].map(({ id }) => id))];
  return ids.flatMap((id) => {
    const [old, now] = [before.parts.find((part) => part.id === id), after.parts.find((part) => part.id === id)];
    if (
      JSON.stringify([old?.contours, old?.lines, old?.operations]) ===
      JSON.stringify([now?.contours, now?.lines, now?.operations])
    )
      return [];
    return [
      {
        id,
        name: now?.name ?? old!.name,
        then: old && resolve(old, contextOf(before, old)),
        now: now && resolve(now, contextOf(after, now)),
      },
    ];
  });
});
const figures = computed(() => then.value && quickFigures(then.value));
const shapes = computed(() => {
  const airframe = then.value;
  if (!airframe) return [];
  return airframe.parts
    .map((part) => resolveIn(airframe, part))
    .filter(({ outline }) => outline)
    .sort((a, b) => boundsWidth(b.bounds) * boundsHeight(b.bounds) - boundsWidth(a.bounds) * boundsHeight(a.bounds))
    .slice(0, 7)
    .map(({ outline, holes, bounds }) => ({
      d: [outline!, ...holes].map((path) => svgPath(path, true)).join(''),
      box: [bounds.minX, bounds.minY, bounds.maxX, bounds.maxY] as const,
    }));
});
</script>

<template>
  <div class="station">
    <div class="station-body">
      <div class="reading">
        <header>
          <div>
            <h1>Versions</h1>
            <p>Every save is kept. Look at one, or go back to it; going back is itself a new version.</p>
          </div>
          <DownloadButton name="project-file" quiet>Download the project file</DownloadButton>
        </header>
        <p v-if="fault" class="warn" role="alert">{{ fault }}</p>
        <VersionList class="list" :lines="lines" :chosen="chosen" :is-busy="isBusy" @choose="look" />
        <el-button v-if="lines.length < total" class="older" :disabled="isBusy" @click="older">
          Show older versions ({{ lines.length }} of {{ total }})
        </el-button>
      </div>
      <aside class="slip" aria-label="Version">
        <template v-if="then && chosen !== undefined">
          <div class="slip-head">
            <h1>Version {{ chosen }}</h1>
            <p>
              {{ countOf(figures?.drawings ?? 0, 'part') }} · {{ countOf(figures?.pieces ?? 0, 'piece') }} ·
              {{ formatMass(figures?.foamG ?? 0, work.unit) }} of foam
            </p>
          </div>
          <AirframePicture
            v-if="shapes.length > 0"
            :key="chosen"
            class="shapes"
            :address="revisionPictureAddress(work.airframe!.id, chosen)"
            :shapes="shapes"
          />
          <section>
            <h2 class="eyebrow">Against now</h2>
            <p v-if="differences.length === 0">The same as now.</p>
            <div v-for="one in differences" :key="one.what + one.how" class="row">
              <span>{{ one.what }}</span><span class="how">{{ one.how }}</span>
            </div>
          </section>
          <section v-if="changed.length > 0" aria-label="Lines that changed">
            <h2 class="eyebrow">Lines that changed</h2>
            <p class="key"><span class="gone">gone since, dashed</span> <span class="came">new since</span></p>
            <PartChange
              v-for="one in changed.slice(0, MOST_PICTURES)"
              :key="one.id"
              :name="one.name"
              :then="one.then"
              :now="one.now"
            />
            <p v-if="changed.length > MOST_PICTURES">and {{ countOf(changed.length - MOST_PICTURES, 'more part') }}</p>
          </section>
          <section>
            <el-button type="primary" :disabled="isBusy || differences.length === 0" @click="restore">
              Go back to version {{ chosen }}
            </el-button>
          </section>
        </template>
        <div v-else class="slip-head">
          <h1>No version chosen</h1>
          <p>Choose one on the left to see what it held and what has changed since.</p>
        </div>
      </aside>
    </div>
    <TrayBar
      ><span>{{ countOf(lines.length, 'version') }} kept</span></TrayBar
    >
  </div>
</template>

<style scoped>
.reading {
  display: flex;
  flex-direction: column;
  overflow: hidden;
  padding-bottom: 0;
}
.list {
  flex: 1;
  min-height: 0;
  margin-top: 8px;
}
header {
  display: flex;
  justify-content: space-between;
  gap: 24px;
  align-items: flex-start;
}
header p {
  color: var(--ink-soft);
  margin-top: 4px;
  max-width: 60ch;
}
section {
  margin-top: 24px;
}
.shapes {
  width: 100%;
  height: 170px;
  margin-top: 14px;
  background: var(--mat);
  border-radius: var(--radius);
}
.key {
  display: flex;
  gap: 14px;
}
.gone {
  color: var(--brick);
}
.came {
  color: var(--moss);
  font-weight: 500;
}
.how {
  color: var(--ink-soft);
}
.warn {
  margin-top: 12px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 8px 12px;
}
</style>
