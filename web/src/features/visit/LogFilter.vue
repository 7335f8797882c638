<script setup lang="ts">
import { texts } from './texts'
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
  <section class="filter edge-t-line pt-10px" :aria-label="filter.name">
    <h2 v-if="!alone">{{ filter.name }}</h2>
    <ul>
      <li v-for="group in groups" :key="group.key">
        <el-checkbox
          v-for="task in group.tasks"
          :key="task.id"
          class="tick flex mr-0 py-1 px-2 edge-b-hair"
          :class="{ on: done(task) }"
          :model-value="done(task)"
          @update:model-value="(on) => tick(task, on === true)"
        >
          {{ task.name }} <span class="quiet small">{{ texts.min3(task.catalogue.minutes) }}</span>
        </el-checkbox>
        <FindingPick
          v-if="asksFinding(group.tasks)"
          v-model="draft.findings[keyOf(group.tasks[0]!)]"
          :what="group.name"
          :grades="group.tasks.find((task) => task.grades.length)?.grades"
        />
      </li>
    </ul>
    <details v-if="touched && filter.kind !== 'UV_UNIT'" :open="place >= 0 || undefined">
      <summary class="min-h-touch content-center text-herb font-600 cursor-pointer">
        {{ texts.flowBeforeAndAfter }}
      </summary>
      <FlowPair v-model:before="before" v-model:after="after" :prefix="`flows[${place}]`" :errors="errors" />
    </details>
  </section>
</template>

<style scoped>
.tick.on {
  background: var(--herb-soft);
  font-weight: 600;
}
</style>
