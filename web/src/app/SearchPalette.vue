<script setup lang="ts">
import { texts } from './texts'
import { computed, onMounted, ref, useTemplateRef, watch } from 'vue'
import { useRouter, type RouteLocationRaw } from 'vue-router'
import { useSiteFilters } from '@/features/filter'
import { useStores } from '@/features/stock'
import { useTanks } from '@/features/tank'
import { found, type Findable } from './finding'
import { PLACES, OF_SITE } from './places'

/** Finds tanks, filters, stages, tasks, things in store, pages and what can be done, by a few letters. */
const shown = defineModel<boolean>({ required: true })

const router = useRouter()
const tanks = useTanks()
const filters = useSiteFilters()
const stores = useStores()
const wanted = ref('')
const input = useTemplateRef<{ focus: () => void; getData: (letters: string) => Promise<void> }>('input')

const all = computed((): Findable[] => {
  const nameOf = (id: number) => tanks.data.value?.find((tank) => tank.id === id)?.tank.name ?? ''
  const to = (name: string, tank: number): RouteLocationRaw => ({ name, params: { tank } })
  return [
    ...[...PLACES, ...OF_SITE].map(({ name, label }) => ({ value: label, where: 'page', to: { name } })),
    ...(tanks.data.value ?? []).flatMap(({ id, tank }) => [
      { value: tank.name, where: tank.room, to: to('tank', id) },
      { value: texts.logAServiceOn(tank.name), where: 'do', to: to('log', id) },
      { value: texts.enterReadingsFor(tank.name), where: 'do', to: to('new-readings', id) },
      { value: texts.changeWaterIn(tank.name), where: 'do', to: to('water-change', id) },
      {
        value: texts.findWhatIsWrong(tank.name),
        where: 'do',
        to: { name: 'start-case', query: { tank: id } },
      },
    ]),
    ...(filters.data.value ?? []).flatMap((filter) => {
      const where = `${filter.name}, ${nameOf(filter.tankId)}`
      return [
        { value: filter.name, where: nameOf(filter.tankId), to: to('tank', filter.tankId) },
        ...filter.stages.map((stage) => ({ value: stage.name, where, to: to('tank', filter.tankId) })),
        ...filter.tasks
          .filter((task) => task.mode !== 'OFF')
          .map((task) => ({
            value: task.name,
            where,
            to: { name: 'task', params: { tank: filter.tankId, task: task.id } },
          })),
      ]
    }),
    ...(stores.data.value?.items ?? []).map((one) => ({
      value: one.item.name,
      where: texts.inStore,
      to: { name: 'store-item', params: { item: one.id } },
    })),
  ]
})

/** What is known may come after the first letters were typed. */
watch(all, () => wanted.value && void input.value?.getData(wanted.value))

/** The dialog takes the focus as it opens; the field has it after. */
onMounted(() => setTimeout(() => input.value?.focus(), 100))

function go(one: Record<string, unknown>) {
  shown.value = false
  void router.push((one as unknown as Findable).to)
}
</script>

<template>
  <el-dialog v-model="shown" :title="texts.search" width="min(560px, 94vw)" align-center>
    <el-autocomplete
      ref="input"
      v-model="wanted"
      class="w-full"
      size="large"
      :aria-label="texts.tankFilterStageTask"
      :placeholder="texts.tankFilterStageTaskThing"
      :fetch-suggestions="(letters: string, tell: (found: Findable[]) => void) => tell(found(all, letters))"
      :trigger-on-focus="false"
      :teleported="false"
      :debounce="60"
      highlight-first-item
      @select="go"
    >
      <template #default="{ item }">
        {{ item.value }} <span class="quiet small">{{ item.where }}</span>
      </template>
    </el-autocomplete>
    <p v-if="wanted.trim() && found(all, wanted).length === 0" class="quiet" role="status">
      {{ texts.nothingByThatName }}
    </p>
  </el-dialog>
</template>
