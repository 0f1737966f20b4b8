<script setup lang="ts">
import { PLAN_VIEWS, VIEW_WORDS, type PlanView, type Underlay } from '@grain-fold/core/plan';
import CheckRow from '../../../kit/CheckRow.vue';
import ChoiceRow from '../../../kit/ChoiceRow.vue';
import FoldAway from '../../../kit/FoldAway.vue';
import MeasureField from '../../../kit/MeasureField.vue';
import type { Tracing } from './use-tracing.ts';

/** How a sheet lies under its view. */
defineProps<{ tracing: Tracing; underlay: Underlay }>();
const views = PLAN_VIEWS.map((one) => [one, VIEW_WORDS[one].toLowerCase()] as const);
</script>

<template>
  <FoldAway title="How it lies" is-open>
    <ChoiceRow
      label="View"
      :model-value="underlay.view"
      :choices="views"
      @update:model-value="tracing.changeUnderlay('Lay underlay elsewhere', underlay.id, { view: $event as PlanView })"
    />
    <MeasureField
      label="Turned"
      kind="angle"
      :model-value="underlay.turnDegrees"
      :least="-360"
      :most="360"
      @update:model-value="tracing.changeUnderlay('Turn underlay', underlay.id, { turnDegrees: $event })"
    />
    <MeasureField
      label="Strength, %"
      kind="number"
      :model-value="Math.round(100 * underlay.opacity)"
      :least="5"
      :most="100"
      @update:model-value="tracing.changeUnderlay('Fade underlay', underlay.id, { opacity: $event / 100 })"
    />
    <CheckRow
      label="Nose to the right on the sheet"
      :model-value="underlay.isMirrored"
      @update:model-value="tracing.changeUnderlay('Mirror underlay', underlay.id, { isMirrored: $event })"
    />
    <CheckRow
      label="Locked in its place"
      :model-value="underlay.isLocked"
      @update:model-value="
        tracing.changeUnderlay($event ? 'Lock underlay' : 'Unlock underlay', underlay.id, {
          isLocked: $event,
        })
      "
    />
    <CheckRow
      label="Hidden"
      :model-value="underlay.isHidden"
      @update:model-value="
        tracing.changeUnderlay($event ? 'Hide underlay' : 'Show underlay', underlay.id, { isHidden: $event })
      "
    />
  </FoldAway>
</template>
