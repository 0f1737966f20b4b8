<script setup lang="ts" generic="M extends { readonly label: string }">
/** A fault: the thing, the number, and what mends it with one click. */
defineProps<{
  fault: { readonly title: string; readonly detail: string; readonly mend?: M; readonly others?: readonly M[] };
  /** Its mends wait until it is looked for again. */ isOld?: boolean;
}>();
defineEmits<{ mend: [mend: M]; show: [] }>();
</script>

<template>
  <article class="fault">
    <h3>
      <el-button link class="bare title" @click="$emit('show')">{{ fault.title }}</el-button>
    </h3>
    <p>{{ fault.detail }}</p>
    <div class="mends">
      <el-button v-if="fault.mend" type="primary" size="small" :disabled="isOld" @click="$emit('mend', fault.mend)">{{
        fault.mend.label
      }}</el-button>
      <el-button
        v-for="other in fault.others"
        :key="other.label"
        size="small"
        :disabled="isOld"
        @click="$emit('mend', other)"
      >
        {{ other.label }}
      </el-button>
    </div>
  </article>
</template>

<style scoped>
.fault {
  background: var(--brick-pale);
  border-left: 4px solid var(--brick);
  padding: 10px 12px 12px;
}
.fault + .fault {
  margin-top: 8px;
}
h3 {
  font-size: 14.5px;
  font-weight: 600;
  line-height: 1.3;
}
.title {
  border: 0;
  background: none;
  padding: 0;
  text-align: left;
  font-weight: inherit;
}
.title:hover {
  text-decoration: underline;
}
p {
  margin: 3px 0 8px;
}
.mends {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
