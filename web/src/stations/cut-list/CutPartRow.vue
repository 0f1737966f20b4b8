<script setup lang="ts">
import type { CutPart, CutWork } from '@grain-fold/core/cutting';
import type { OperationKind } from '@grain-fold/core/operations';
import { formatAngle, formatLengthWithUnit, type LengthUnit } from '@grain-fold/core/units';
import StrokeSample from '../../components/StrokeSample.vue';
import PartPicture from './PartPicture.vue';

/** One part of the cut list: its picture and every line of work on it. */
defineProps<{ cut: CutPart; unit: LengthUnit }>();
const kindOf = ({ kind }: CutWork): OperationKind => (kind === 'outline' || kind === 'holes' ? 'through' : kind);
const isFold = ({ kind }: CutWork): boolean =>
  kind === 'groove' || kind === 'trench' || kind === 'crease' || kind === 'slit';
</script>

<template>
  <article class="cut">
    <PartPicture :part="cut.part" class="picture" />
    <div class="text">
      <h3>
        {{ cut.part.name }}<span v-if="cut.part.side !== 'single'"> · {{ cut.part.side }}</span>
        <b class="figures off">{{ cut.quantity }} off</b>
      </h3>
      <p class="under figures">
        {{ formatLengthWithUnit(cut.part.thicknessMm, unit) }} {{ cut.part.material
        }}{{ cut.boards.length > 0 ? ` · board ${cut.boards.join(', ')}` : '' }}
      </p>
      <table>
        <thead class="visually-hidden">
          <tr>
            <th>Stroke</th>
            <th>Work</th>
            <th>Face</th>
            <th>Angle</th>
            <th>Blade</th>
            <th>Width or depth</th>
            <th>Length</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(work, index) in cut.works" :key="index">
            <td class="stroke"><StrokeSample :kind="kindOf(work)" :is-back="work.face === 'back'" /></td>
            <td class="words">
              {{ work.words }}<span v-if="work.count > 1" class="soft"> · {{ work.count }} lines</span
              ><span v-if="work.glueMl !== undefined" class="soft"> · glue {{ work.glueMl.toFixed(1) }} ml</span>
            </td>
            <td>{{ work.face === 'through' ? 'right through' : `on the ${work.face}` }}</td>
            <td class="figures">
              {{
                isFold(work)
                  ? `folds ${formatAngle(work.angleDegrees ?? 0)}`
                  : work.kind === 'bevel'
                    ? formatAngle(work.angleDegrees ?? 0)
                    : work.kind === 'hinge'
                      ? `±${formatAngle(work.angleDegrees ?? 0)}`
                      : ''
              }}
            </td>
            <td class="figures">
              {{ work.bladeDegrees === undefined ? '' : `blade ${formatAngle(work.bladeDegrees)}` }}
            </td>
            <td class="figures">
              {{
                work.depthMm !== undefined
                  ? `${formatLengthWithUnit(work.depthMm, unit)} deep`
                  : work.widthMm !== undefined
                    ? `${formatLengthWithUnit(work.widthMm, unit)} wide`
                    : ''
              }}
            </td>
            <td class="figures length">{{ formatLengthWithUnit(work.lengthMm, unit) }}</td>
          </tr>
        </tbody>
      </table>
      <p v-if="cut.folds.length > 1" class="order">
        <span>Fold</span>
        <template v-for="(name, index) in cut.folds" :key="index"
          ><b class="figures">{{ index + 1 }}</b> {{ name }}
        </template>
      </p>
    </div>
  </article>
</template>

<style scoped>
.cut {
  display: flex;
  gap: 28px;
  border-top: 1px solid var(--ticket-line);
  padding: 16px 0;
}
.picture {
  width: 220px;
  flex: none;
  align-self: flex-start;
}
.text {
  flex: 1;
  min-width: 0;
}
h3 {
  font-size: 17px;
  font-weight: 600;
  display: flex;
  align-items: baseline;
  gap: 6px;
}
h3 span {
  font-weight: 500;
  color: var(--ink-soft);
}
.off {
  margin-left: auto;
  font-size: 19px;
}
.under {
  color: var(--ink-soft);
  font-size: 15px;
  font-weight: 500;
}
table {
  width: 100%;
  border-collapse: collapse;
  margin-top: 6px;
}
td {
  padding: 5px 8px 5px 0;
  border-bottom: 1px solid var(--foam-edge);
  font-size: 15px;
  white-space: nowrap;
}
td.words {
  width: 34%;
  white-space: normal;
}
td.figures {
  font-size: 16px;
  font-weight: 500;
}
td.length {
  text-align: right;
  font-weight: 600;
  padding-right: 0;
}
.stroke {
  width: 66px;
  line-height: 0;
}
.order {
  font-size: 15px;
  margin-top: 6px;
}
.order span {
  color: var(--ink-soft);
}
.order b {
  color: var(--marigold-deep);
  margin-left: 8px;
}
.soft {
  color: var(--ink-soft);
}
tr:last-child td {
  border-bottom: 0;
}
@media (max-width: 1080px) {
  .picture {
    width: 150px;
  }
}
</style>
