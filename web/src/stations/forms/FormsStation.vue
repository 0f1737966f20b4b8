<script setup lang="ts">
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue';
import { readsOf, readsStanding, type Form } from '@grain-fold/core/forms';
import TrayBar from '../../frame/TrayBar.vue';
import { useKeys } from '../../keys/use-keys.ts';
import ToolButton from '../../kit/ToolButton.vue';
import { useAirframe } from '../../stores/airframe/airframe.ts';
import FoldedMat from '../parts/folded/FoldedMat.vue';
import { useFoldView } from '../parts/folded/use-fold-view.ts';
import { useSelection } from '../parts/selection.ts';
import { onDesk } from './kinds-on-desk.ts';
import MadeParts from './MadeParts.vue';
import FormMat from './mat/FormMat.vue';
import FormsStart from './start/FormsStart.vue';
import { useForms } from './use-forms.ts';

const work = useAirframe();
const desk = useForms();
const mat = useTemplateRef<{ fit: () => void }>('mat');
const isStarting = ref(false);
const isFolded = ref(false);
const isEmpty = computed(() => desk.forms.value.length === 0);
/** What the desk has for the kind of form that is on it. */
const kind = computed(() => onDesk(desk.form.value?.kind ?? 'wing'));
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
  if (desk.form.value && readsStanding(desk.form.value)) return true;
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
const stepped = computed((): readonly [chosen: string, count: number] => {
  const { list = '', chosen = list } = kind.value,
    items = (desk.form.value?.parameters as unknown as Record<string, readonly unknown[]> | undefined)?.[list];
  return [chosen, items?.length ?? 0];
});
function step(by: number): unknown {
  const [list, count] = stepped.value;
  if (count === 0) return false;
  const chosen = desk.chosen.value?.kind === list ? desk.chosen.value.index : undefined,
    now = chosen ?? (by > 0 ? -1 : count);
  desk.chosen.value = { kind: list, index: (now + by + count) % count };
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
        <FormMat v-else-if="desk.made.value" ref="mat" :desk="desk" />
        <div v-else class="bare-mat" />
        <div v-if="!isEmpty" class="mat-tools tools" role="toolbar" aria-label="Form tools">
          <ToolButton
            key-name="U"
            word="see it folded"
            :hint="skin ? 'All of it, folded and joined' : (kind.unfolded ?? 'A foam core is not folded')"
            :disabled="!skin"
            :is-on="isFolded"
            @press="isFolded = !isFolded"
          />
          <ToolButton
            word="another form"
            hint="A wing, a body, a round, a deck and more, from a few numbers"
            :is-on="isStarting"
            @press="isStarting = !isStarting"
          />
        </div>
        <p v-if="message" class="failed" role="alert">{{ message }}</p>
        <FormsStart v-if="isEmpty || isStarting" :is-empty="isEmpty" @make="make" @close="isStarting = false" />
      </div>
      <component :is="kind.slip" v-if="desk.form.value" :desk="desk" @anew="isStarting = true" />
    </div>
    <MadeParts v-if="desk.form.value" :form-id="desk.form.value.id" />
    <TrayBar
      ><span
        ><b>F</b> fit · <b>U</b> folded · <template v-if="kind.next"><b>[ ]</b> {{ kind.next }} · </template> drag a
        ring: {{ kind.rings }} · <b>Alt</b> holds steps off</span
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
