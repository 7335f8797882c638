<script setup lang="ts">
import { computed } from 'vue'
import type { Filter, Task } from '@/features/filter'
import { blankFlow, findingKey, flowFilters, type Draft } from './draft'
import FindingPick from './FindingPick.vue'
import FlowPair from './FlowPair.vue'

/** One filter of a service: its tasks in the order of the water path, a finding for each opened stage, flow before and after. */
const props = defineProps<{ filter: Filter; errors: Record<string, string>; alone: boolean }>()
const draft = defineModel<Draft>({ required: true })

/** Tasks that are not switched off, whole-filter tasks first, then stage by stage. */
const groups = computed(() => {
  const inUse = props.filter.tasks.filter((task) => task.mode !== 'OFF' || draft.value.done.includes(task.id))
  const whole = inUse
    .filter((task) => task.stageId === undefined)
    .map((task) => ({ key: `task ${String(task.id)}`, name: task.name, tasks: [task] }))
  const stages = props.filter.stages.map((stage) => ({
    key: `stage ${String(stage.id)}`,
    name: stage.name,
    tasks: inUse.filter((task) => task.stageId === stage.id),
  }))
  return [...whole, ...stages.filter((group) => group.tasks.length > 0)]
})
const done = (task: Task) => draft.value.done.includes(task.id)
const touched = computed(() => props.filter.tasks.some(done))
const place = computed(() => flowFilters(draft.value).indexOf(props.filter.id))

/** A grade is asked for once a stage, and not for an opening: its foams and pads speak for it. */
const asksFinding = (tasks: Task[]) =>
  tasks.some((task) => task.graded && task.action !== 'OPEN' && done(task))

function tick(task: Task, on: boolean) {
  const rest = draft.value.done.filter((id) => id !== task.id)
  draft.value.done = on ? [...rest, task.id] : rest
}

const keyOf = (task: Task) => findingKey({ stageId: task.stageId, taskId: task.id })
const flowOf = (when: 'before' | 'after') =>
  computed({
    get: () => draft.value[when][props.filter.id] ?? blankFlow(),
    set: (flow) => (draft.value[when] = { ...draft.value[when], [props.filter.id]: flow }),
  })
const before = flowOf('before')
const after = flowOf('after')
</script>

<template>
  <section class="filter" :aria-label="filter.name">
    <h2 v-if="!alone">{{ filter.name }}</h2>
    <ul>
      <li v-for="group in groups" :key="group.key">
        <label v-for="task in group.tasks" :key="task.id" class="tick" :class="{ on: done(task) }">
          <input
            type="checkbox"
            :checked="done(task)"
            @change="tick(task, ($event.target as HTMLInputElement).checked)"
          />
          <span>{{ task.name }}</span>
          <span class="quiet small">{{ task.catalogue.minutes }} min</span>
        </label>
        <FindingPick
          v-if="asksFinding(group.tasks)"
          v-model="draft.findings[keyOf(group.tasks[0]!)]"
          :what="group.name"
          :grades="group.tasks.find((task) => task.grades.length)?.grades"
        />
      </li>
    </ul>
    <details v-if="touched && filter.kind !== 'UV_UNIT'" :open="place >= 0 || undefined">
      <summary>Flow before and after</summary>
      <FlowPair v-model:before="before" v-model:after="after" :prefix="`flows[${place}]`" :errors="errors" />
    </details>
  </section>
</template>

<style scoped>
.filter {
  border-top: 1px solid var(--line);
  padding-top: 10px;
}

.tick {
  display: grid;
  grid-template-columns: 32px 1fr auto;
  gap: 8px;
  align-items: center;
  min-height: var(--touch);
  padding: 4px 8px 4px 4px;
  border-bottom: 1px solid var(--hair);
  cursor: pointer;
}

.tick.on {
  background: var(--herb-soft);
  font-weight: 600;
}

input {
  width: 24px;
  height: 24px;
  accent-color: var(--herb);
}

summary {
  min-height: var(--touch);
  align-content: center;
  color: var(--herb);
  font-weight: 600;
  cursor: pointer;
}
</style>
