<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { rowOf, type TypedRow } from './given'
import type { Field } from './queries'

/** Rows of a list: as many as there are, one more, one fewer. The slot holds one field of one row. */
const props = defineProps<{
  field: Field
  path: string
  legend: string
  hint?: string
  error?: string
}>()
const rows = defineModel<TypedRow[]>({ required: true })

const WAYS = ['Now', 'Instead']
/** A list of so many and no other has names instead of numbers. */
const named = computed(() => props.field.least === props.field.most)
const title = (index: number) => (named.value ? WAYS[index] : String(index + 1))
const pathOf = (index: number, name: string) =>
  props.field.type === 'NUMBERS'
    ? `${props.path}[${String(index)}]`
    : `${props.path}[${String(index)}].${name}`

function change(index: number, name: string, value: TypedRow[string]) {
  rows.value = rows.value.map((row, at) => (at === index ? { ...row, [name]: value } : row))
}
const add = () => (rows.value = [...rows.value, rowOf(props.field.row)])
const remove = (index: number) => (rows.value = rows.value.filter((_row, at) => at !== index))
</script>

<template>
  <fieldset class="min-w-0 border-0" :data-field="path">
    <legend class="p-0 font-700">{{ legend }}</legend>
    <p v-if="hint" class="quiet small">{{ hint }}</p>
    <div v-for="(row, index) in rows" :key="index" class="row" :class="{ named }">
      <h3 v-if="named">{{ title(index) }}</h3>
      <slot
        v-for="inRow in field.row"
        :key="inRow.name"
        :field="inRow"
        :path="pathOf(index, inRow.name)"
        :value="row[inRow.name]"
        :change="(value: TypedRow[string]) => change(index, inRow.name, value)"
      />
      <el-button
        v-if="!named"
        class="self-end"
        :aria-label="texts.takeOut(legend.toLowerCase(), title(index) ?? '')"
        @click="remove(index)"
        >{{ texts.takeOut2 }}</el-button
      >
    </div>
    <el-button v-if="!named && rows.length < field.most" class="mt-10px" @click="add">{{
      texts.addOne
    }}</el-button>
    <p v-if="error" class="error" role="alert">{{ error }}</p>
  </fieldset>
</template>

<style scoped>
.row {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(150px, 1fr));
  gap: 10px 14px;
  align-items: start;
  padding: 10px 0;
  border-bottom: 1px solid var(--hair);
}

.row > h3,
.row > :deep(fieldset) {
  grid-column: 1 / -1;
}

@media (width <= 640px) {
  .row {
    grid-template-columns: 1fr 1fr;
  }
}
</style>
