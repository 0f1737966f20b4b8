<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { isBody, isShell, isWing, readsOf, type Form } from '@grain-fold/core/forms';
import TrayBar from '../../frame/TrayBar.vue';
import { useKeys } from '../../keys/use-keys.ts';
import ToolButton from '../../kit/ToolButton.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import FoldedMat from '../parts/folded/FoldedMat.vue';
import { useFoldView } from '../parts/folded/use-fold-view.ts';
import { useSelection } from '../parts/selection.ts';
import BodyMat from './body/BodyMat.vue';
import BodySlip from './body/BodySlip.vue';
import FormsStart from './FormsStart.vue';
import MadeParts from './MadeParts.vue';
import WingMat from './mat/WingMat.vue';
import ShellMat from './shell/ShellMat.vue';
import ShellSlip from './shell/ShellSlip.vue';
import WingSlip from './slip/WingSlip.vue';
import { useForms, type BodyDesk, type ShellDesk, type WingDesk } from './use-forms.ts';

const work = useAirframe();
const desk = useForms();
const mat = useTemplateRef<{ fit: () => void }>('mat');
/** What the keys step through, and what is dragged, by the kind of form. */
const TRAY = {
  wing: { next: 'next panel', rings: 'span, chord, dihedral, spar' },
  body: { next: 'next station', rings: 'top, bottom, width, former, wing' },
  shell: { next: 'next section', rings: 'section, corner' },
} as const;
const isStarting = ref(false);
const isFolded = ref(false);
const isEmpty = computed(() => desk.forms.value.length === 0);
/** The desk, narrowed to the kind of form that is on it. */
const wingDesk = computed(() => (isWing(desk.form.value) ? (desk as unknown as WingDesk) : undefined));
const bodyDesk = computed(() => (isBody(desk.form.value) ? (desk as unknown as BodyDesk) : undefined));
const shellDesk = computed(() => (isShell(desk.form.value) ? (desk as unknown as ShellDesk) : undefined));
/** The first of its parts that stands: what the folded view begins with. */
const skin = computed(() =>
  work.airframe?.parts.find(({ source, place }) => source?.formId === desk.form.value?.id && place !== undefined),
);
const selection = useSelection(computed(() => undefined));
const folding = useFoldView(
  () => work.airframe,
  () => skin.value?.id,
  () => isFolded.value,
);
/** Forms that stand by each other, or sit in each other, are seen together. */
const isOneOfTwo = computed(() => {
  const own = desk.form.value?.id;
  return desk.forms.value.some((form) => {
    const others = [...readsOf(form), ...(form.standsBy ? [form.standsBy.formId] : [])];
    return others.length > 0 && (form.id === own || others.some((id) => id === own));
  });
});
watch(isOneOfTwo, (is) => (folding.extent.value = is ? 'airframe' : 'together'), { immediate: true });
const { view, message } = folding;

async function make(forms: readonly Form[]): Promise<void> {
  isStarting.value = false;
  desk.add(forms);
  await nextTick();
  requestAnimationFrame(() => mat.value?.fit());
}
/** Escape backs out one step: the start, the folded view, then the choice. */
function back(): unknown {
  if (isStarting.value) isStarting.value = false;
  else if (isFolded.value) isFolded.value = false;
  else if (desk.chosen.value) desk.chosen.value = undefined;
  else return false;
  return true;
}
/** What the keys step through: the panels of a wing, the stations of a body. */
const stepped = computed((): readonly [kind: string, count: number] => {
  const form = desk.form.value;
  if (!form) return ['', 0];
  if (isWing(form)) return ['panel', form.parameters.panels.length];
  return isBody(form) ? ['stations', form.parameters.stations.length] : ['sections', form.parameters.sections.length];
});
function step(by: number): unknown {
  const [kind, count] = stepped.value;
  if (count === 0) return false;
  const chosen = desk.chosen.value?.kind === kind ? desk.chosen.value.index : undefined,
    now = chosen ?? (by > 0 ? -1 : count);
  desk.chosen.value = { kind, index: (now + by + count) % count };
  return true;
}
useKeys('forms', {
  back,
  seeWingFolded: () => (isEmpty.value || !skin.value ? false : void (isFolded.value = !isFolded.value)),
  nextPanel: ({ key }) => step(key === ']' ? 1 : -1),
});
</script>

<template>
  <div class="station">
    <div class="station-body">
      <div class="middle">
        <FoldedMat
          v-if="isFolded && view && skin && view.partId === skin.id"
          :part="skin"
          :view="view"
          :selection="selection"
          @extent="folding.extent.value = $event"
          @pick="() => undefined"
        >
          <p class="report figures" role="status">{{ view.report[0] }}</p>
        </FoldedMat>
        <WingMat v-else-if="wingDesk?.made.value" ref="mat" :desk="wingDesk" :made="wingDesk.made.value" />
        <BodyMat v-else-if="bodyDesk?.made.value?.site" ref="mat" :desk="bodyDesk" />
        <ShellMat v-else-if="shellDesk?.made.value?.site" ref="mat" :desk="shellDesk" />
        <div v-else class="bare-mat" />
        <div v-if="!isEmpty" class="mat-tools tools" role="toolbar" aria-label="Form tools">
          <ToolButton
            key-name="U"
            word="see it folded"
            :hint="skin ? 'All of it, folded and joined' : 'A foam core is not folded'"
            :disabled="!skin"
            :is-on="isFolded"
            @press="isFolded = !isFolded"
          />
          <ToolButton
            word="another form"
            hint="A wing, a body or a shell, from a few numbers"
            :is-on="isStarting"
            @press="isStarting = !isStarting"
          />
        </div>
        <p v-if="message" class="failed" role="alert">{{ message }}</p>
        <FormsStart v-if="isEmpty || isStarting" :is-empty="isEmpty" @make="make" @close="isStarting = false" />
      </div>
      <WingSlip v-if="wingDesk" :desk="wingDesk" @anew="isStarting = true" />
      <BodySlip v-else-if="bodyDesk" :desk="bodyDesk" @anew="isStarting = true" />
      <ShellSlip v-else-if="shellDesk" :desk="shellDesk" @anew="isStarting = true" />
    </div>
    <MadeParts v-if="desk.form.value" :form-id="desk.form.value.id" />
    <TrayBar
      ><span
        ><b>F</b> fit · <b>U</b> folded · <b>[ ]</b> {{ TRAY[desk.form.value?.kind ?? 'wing'].next }} · drag a ring:
        {{ TRAY[desk.form.value?.kind ?? 'wing'].rings }} · <b>Alt</b> holds steps off</span
      ></TrayBar
    >
  </div>
</template>

<style scoped>
.middle {
  position: relative;
  flex: 1;
  min-width: 0;
  display: flex;
  background: var(--mat);
}
.bare-mat {
  flex: 1;
  background: var(--mat);
}
.tools {
  position: absolute;
  left: 14px;
  top: 12px;
  z-index: 3;
  display: flex;
  flex-wrap: wrap;
  gap: 2px;
  padding: 4px;
  background: var(--mat-dark);
  border-radius: var(--radius);
}
.report {
  position: absolute;
  right: 14px;
  top: 14px;
  max-width: 60%;
  color: #ffd9a1;
  font-size: 17px;
  font-weight: 600;
  text-align: right;
}
.failed {
  position: absolute;
  left: 14px;
  top: 60px;
  color: #ffc9a3;
}
</style>
