<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import SelectField from '@/shared/components/SelectField.vue'
import type { Column, Key, KeyView } from './queries'
import { FLOWS, ORDERS, ROLES } from './words'

/** What each column of the table says, beside what stands in it. */
const props = defineProps<{ view: KeyView; errors: Record<string, string> }>()
const key = defineModel<Key>({ required: true })

const SHOWN = 3
const FLOW_ROLES: Column['role'][] = ['FLOW_BEFORE', 'FLOW_AFTER']
const several = computed(() => props.view.filters.length > 1)
const tasks = computed(() =>
  props.view.tasks.map((task) => ({
    value: task.id,
    label: several.value ? `${task.name}, ${task.filter}` : task.name,
  })),
)
const filters = computed(() => props.view.filters.map(({ id, name }) => ({ value: id, label: name })))
const hasFlow = computed(() => key.value.columns.some((column) => FLOW_ROLES.includes(column.role)))

function samples(column: number): string {
  const written = props.view.sample.map((row) => row[column] ?? '').filter((cell) => cell !== '')
  return [...new Set(written)].slice(0, SHOWN).join(' · ')
}

function change(column: number, to: Column) {
  // There is one day.
  const columns = key.value.columns.map((one, i) =>
    i === column ? to : to.role === 'DAY' && one.role === 'DAY' ? { role: 'NOTHING' as const } : one,
  )
  key.value = { ...key.value, columns }
}

function setRole(column: number, role: Column['role'] | undefined) {
  if (!role) return
  const only = FLOW_ROLES.includes(role) && props.view.filters.length === 1
  change(column, { role, subject: only ? props.view.filters[0]?.id : undefined })
}
</script>

<template>
  <section aria-labelledby="columns">
    <h2 id="columns">{{ texts.whatEachColumnSays }}</h2>
    <p v-if="errors['key.columns']" class="error" role="alert">{{ errors['key.columns'] }}</p>
    <ul>
      <li
        v-for="(column, i) in key.columns"
        :key="i"
        class="grid cols-[1_280px] gap-y-6px gap-x-16px items-center py-6px edge-b-hair list-none max-tablet:cols-1"
      >
        <p>
          <b>{{ view.headings[i] || texts.column(i + 1) }}</b>
          <span class="quiet small block overflow-hidden text-ellipsis whitespace-nowrap">{{
            samples(i) || texts.nothingInIt
          }}</span>
        </p>
        <SelectField
          bare
          :label="texts.meaningOf(view.headings[i] || texts.column2(i + 1))"
          :name="`key.columns[${i}].role`"
          :choices="ROLES"
          :model-value="column.role"
          @update:model-value="(role) => setRole(i, role)"
        />
        <SelectField
          v-if="column.role === 'TASK'"
          bare
          :label="texts.whichTask"
          :placeholder="texts.whichTask2"
          :name="`key.columns[${i}].subject`"
          :choices="tasks"
          :error="errors[`key.columns[${i}].subject`]"
          :model-value="column.subject"
          @update:model-value="(subject) => change(i, { ...column, subject })"
        />
        <SelectField
          v-else-if="FLOW_ROLES.includes(column.role) && several"
          bare
          :label="texts.ofWhichFilter"
          :placeholder="texts.ofWhichFilter2"
          :name="`key.columns[${i}].subject`"
          :choices="filters"
          :error="errors[`key.columns[${i}].subject`]"
          :model-value="column.subject"
          @update:model-value="(subject) => change(i, { ...column, subject })"
        />
      </li>
    </ul>
    <div class="beside flex flex-wrap gap-y-12px gap-x-32px mt-3 mb-6px">
      <ChoiceRow
        :legend="texts.daysAreWrittenAs"
        name="order"
        :choices="ORDERS"
        :model-value="key.order"
        @update:model-value="(order) => (key = { ...key, order })"
      />
      <SelectField
        v-if="hasFlow"
        :label="texts.flowsAreIn"
        name="flowUnit"
        :choices="FLOWS"
        :model-value="key.flowUnit"
        @update:model-value="(flowUnit) => (key = { ...key, flowUnit: flowUnit ?? key.flowUnit })"
      />
    </div>
    <el-checkbox
      :model-value="key.dayFromAbove"
      @update:model-value="(on) => (key = { ...key, dayFromAbove: on === true })"
    >
      {{ texts.whereNoDayIs }}
    </el-checkbox>
  </section>
</template>

<style scoped>
li > :nth-child(3) {
  grid-column: 2;
}

.beside > :nth-child(2) {
  min-width: 240px;
}

@media (width <= 800px) {
  li > :nth-child(3) {
    grid-column: 1;
  }
}
</style>
