<script setup lang="ts">
import { useMediaQuery, useStorage } from '@vueuse/core';
import { computed } from 'vue';
import { RouterLink } from 'vue-router';
import { useAirframe } from '../stores/airframe/airframe.ts';
import { useFigures } from '../stores/figures.ts';
import { STATIONS } from '../stations/stations.ts';
import GrainFoldMark from '../pictures/GrainFoldMark.vue';
import { formatLengthWithUnit } from '@grain-fold/core/units';

const work = useAirframe();
const figures = useFigures();
const isHidden = useStorage('grain-fold-ticket-narrow', false);
/** A small or zoomed page has no room for all of it. */
const isSmall = useMediaQuery('(max-width: 960px)');
const isNarrow = computed(() => isHidden.value || isSmall.value);
const theme = useStorage<'day' | 'evening'>('grain-fold-theme', 'day');

const groups = computed(() =>
  [...new Set(STATIONS.map(({ group }) => group))].map((group) => ({
    group,
    stations: STATIONS.filter((station) => station.group === group).map((station) => ({
      ...station,
      figure: station.figure ? figures.figure(station.figure) : undefined,
    })),
  })),
);
const faults = computed(() => figures.faultCount);
const folds = computed(() => figures.figure('folds'));
const mass = computed(() => figures.figure('mass'));
/** What the plan says of the flight; told once there is a wing. */
const flight = computed(() =>
  (
    [
      ['balance', 'Balance'],
      ['loading', 'Loading'],
    ] as const
  ).flatMap(([key, word]) => {
    const figure = figures.figure(key);
    return figure.now === '–' ? [] : [{ key, word, figure }];
  }),
);
const faultsBefore = computed(() => figures.figure('faults').before);
const mainBoard = computed(() => work.airframe?.boards[0]);
</script>

<template>
  <aside class="ticket" :class="{ narrow: isNarrow }" aria-label="Job ticket">
    <p class="brand"><GrainFoldMark /><span class="wide">Grain Fold</span></p>
    <RouterLink class="back" :to="{ name: 'airframes' }" title="All airframes"
      ><span aria-hidden="true">‹ </span><span :class="{ 'visually-hidden': isNarrow }">All airframes</span></RouterLink
    >
    <div class="wide name">
      <h1>{{ work.airframe?.name }}</h1>
      <RouterLink class="figures" :to="{ name: 'versions' }">version {{ work.version }} · all versions</RouterLink>
    </div>
    <nav aria-label="Stations">
      <template v-for="{ group, stations } in groups" :key="group">
        <p class="eyebrow wide">{{ group }}</p>
        <RouterLink
          v-for="{ name, word, key, figure } in stations"
          :key="name"
          class="line"
          :to="{ name }"
          :title="`${word} (${key})`"
          :aria-label="isNarrow ? word + (figure ? ` ${figure.now}` : '') : undefined"
        >
          <span class="word">{{ isNarrow ? word.slice(0, 6) : word }}</span>
          <span class="dots wide" aria-hidden="true" />
          <span v-if="figure" class="figure figures">
            <s v-if="figure.before !== undefined && figure.before !== figure.now" class="wide"
              ><span class="visually-hidden">was</span>{{ figure.before.split(' · ')[0] }}</s
            >
            {{ figure.isOld && figure.now !== '–' ? '~' : '' }}{{ figure.now }}
          </span>
        </RouterLink>
      </template>
      <p v-if="figures.slowMessage" class="failed wide" role="alert">{{ figures.slowMessage }}</p>
      <p class="eyebrow wide">Figures</p>
      <p class="line still" aria-live="polite">
        <span class="word">{{ isNarrow ? '' : 'Foam' }}</span><span class="dots wide" aria-hidden="true" />
        <span class="figure figures"
          ><s v-if="mass.before && mass.before !== mass.now" class="wide"
            ><span class="visually-hidden">was</span>{{ mass.before }}</s
          >
          {{ mass.now }}</span
        >
      </p>
      <p v-for="{ key, word, figure } in flight" :key="key" class="line still" aria-live="polite">
        <span class="word">{{ word }}</span><span class="dots wide" aria-hidden="true" />
        <span class="figure figures"
          ><s v-if="figure.before && figure.before !== figure.now && figure.before !== '–'" class="wide"
            ><span class="visually-hidden">was</span>{{ figure.before }}</s
          >
          {{ figure.now }}</span
        >
      </p>
      <p v-if="folds.now !== '–'" class="line still" aria-live="polite">
        <span class="word">Folds</span><span class="dots wide" aria-hidden="true" />
        <span class="figure figures" :class="folds.now.includes('open') ? 'bad' : 'good'"
          ><s v-if="folds.before && folds.before !== folds.now && folds.before !== '–'" class="wide"
            ><span class="visually-hidden">was</span>{{ folds.before }}</s
          >
          {{ folds.now }}</span
        >
      </p>
      <p class="line still" aria-live="polite">
        <span class="word">Faults</span><span class="dots wide" aria-hidden="true" />
        <span class="figure figures" :class="faults > 0 ? 'bad' : 'good'"
          ><s v-if="faultsBefore !== undefined && faultsBefore !== String(faults)" class="wide"
            ><span class="visually-hidden">was</span>{{ faultsBefore === '0' ? 'none' : faultsBefore }}</s
          >
          {{ faults > 0 ? faults : 'none' }}</span
        >
      </p>
    </nav>
    <div class="foot figures">
      <p v-if="mainBoard" class="wide">
        {{ mainBoard.material }}, measured {{ formatLengthWithUnit(mainBoard.thicknessMm, work.unit) }}
      </p>
      <p class="wide">
        {{ work.unit === 'mm' ? 'millimetres' : 'inches' }} · {{ work.airframe?.settings.pages.paper }}
      </p>
      <div class="switches">
        <el-button
          text
          size="small"
          :aria-pressed="theme === 'evening'"
          @click="theme = theme === 'day' ? 'evening' : 'day'"
        >
          {{ theme === 'day' ? 'Dim' : 'Day' }}
        </el-button>
        <el-button
          v-if="!isSmall"
          text
          size="small"
          :aria-label="isNarrow ? 'Show the ticket' : 'Hide the ticket'"
          @click="isHidden = !isHidden"
        >
          {{ isNarrow ? '»' : '« Hide' }}
        </el-button>
      </div>
    </div>
  </aside>
</template>

<style scoped>
.ticket {
  width: 208px;
  flex: none;
  background: var(--ticket);
  border-right: 2px dashed var(--ticket-line);
  display: flex;
  flex-direction: column;
  overflow-y: auto;
  padding: 16px 0 10px;
}
.brand {
  display: flex;
  gap: 9px;
  align-items: center;
  font-size: 20px;
  font-weight: 500;
  text-decoration: none;
  padding: 2px 18px 12px;
}
.name {
  margin: 0 18px;
  border-top: 2px solid var(--ink);
  border-bottom: 1.5px solid var(--ink);
  padding: 9px 0 10px;
}
.name h1 {
  font-size: 16px;
  overflow-wrap: anywhere;
}
.name a {
  font-size: 13.5px;
  font-weight: 500;
  text-decoration: none;
  color: var(--label);
}
.back {
  margin: -6px 18px 8px;
  font-size: 13.5px;
  font-weight: 500;
  text-decoration: none;
  color: var(--label);
}
.back:hover {
  text-decoration: underline;
}
.narrow .back {
  margin: 0 0 6px;
  text-align: center;
  font-size: 18px;
}
.name a:hover {
  text-decoration: underline;
}
nav {
  flex: 1;
  padding-top: 4px;
}
.eyebrow {
  padding: 13px 18px 3px;
}
.line {
  display: flex;
  align-items: baseline;
  gap: 7px;
  padding: 3px 18px 3px 14px;
  border-left: 4px solid transparent;
  min-height: 28px;
  text-decoration: none;
}
.line:hover:not(.still) {
  background: #ece0c6;
}
.line.router-link-active {
  background: var(--foam);
  border-left-color: var(--marigold);
  font-weight: 600;
}
.dots {
  flex: 1;
  border-bottom: 1px dotted #a89a74;
  transform: translateY(-4px);
  min-width: 8px;
}
.figure {
  font-weight: 600;
  font-size: 17px;
  white-space: nowrap;
}
.figure s {
  font-size: 13px;
  font-weight: 500;
  color: var(--label);
  margin-right: 2px;
  display: inline-block;
  max-width: 42px;
  overflow: hidden;
  text-overflow: ellipsis;
  vertical-align: bottom;
}
.good {
  color: var(--moss);
}
.bad {
  color: var(--brick);
}
.failed {
  margin: 10px 12px 0;
  padding: 6px 8px;
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  font-size: 13px;
}
.foot {
  padding: 8px 18px 0;
  font-size: 13px;
  font-weight: 500;
  color: var(--label);
}
.switches {
  display: flex;
  justify-content: space-between;
  margin: 4px -8px 0;
}
.narrow {
  width: 64px;
}
.narrow .wide {
  display: none;
}
.narrow .brand {
  padding: 2px 16px 12px;
}
.narrow .line {
  flex-direction: column;
  gap: 0;
  padding: 4px 4px;
  align-items: center;
}
.narrow .word {
  font-size: 11px;
}
.narrow .figure {
  white-space: normal;
  text-align: center;
  font-size: 12.5px;
}
.narrow .foot {
  padding: 4px;
}
.narrow .switches {
  flex-direction: column;
  margin: 0;
}
</style>
