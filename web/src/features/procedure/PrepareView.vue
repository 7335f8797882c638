<script setup lang="ts">
import { computed, reactive, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useFilters, type Filter } from '@/features/filter'
import { useTank } from '@/features/tank'
import { HoldNotice, MediaPick } from '@/features/water'
import AsyncState from '@/shared/components/AsyncState.vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { typedNumber } from '@/shared/units'
import BenchCard from './BenchCard.vue'
import { useProcedure, useStartGuided, type Chore } from './queries'

/** At the tank, before hands get wet: choose the work, see what it takes, begin. */
const props = defineProps<{ tank: number }>()

const route = useRoute()
const router = useRouter()
const tank = useTank(() => props.tank)
const filters = useFilters(() => props.tank)
const startGuided = useStartGuided()
const { sending, trouble, errors, send, refuse } = useSending()

const filterId = ref<number>()
const tasks = ref<number[]>([])
const chores = ref<Chore[]>([])
const media = reactive({ stage: undefined as number | undefined, grams: '', reason: '' })
const CHORES: { value: Chore; label: string; marine: boolean }[] = [
  { value: 'ROCK_BLOW_OFF', label: 'Blow detritus off the rock first', marine: true },
  { value: 'SUBSTRATE_VACUUM', label: 'Vacuum the substrate', marine: false },
  { value: 'BIO_PART_REPLACED', label: 'Replace part of the bio media', marine: false },
]

const procedure = useProcedure(filterId, tasks, chores)
const filter = computed(() => filters.data.value?.find((one) => one.id === filterId.value))
const held = computed(() => procedure.data.value?.held ?? [])
const asked = computed(() =>
  String(route.query.tasks ?? '')
    .split(',')
    .map(Number)
    .filter(Boolean),
)
const offered = computed(() =>
  CHORES.filter((chore) => !chore.marine || tank.data.value?.tank.setting.water === 'MARINE'),
)

watch(
  filters.data,
  (all) => {
    if (filterId.value !== undefined || !all?.length) return
    choose(all.find((one) => one.tasks.some((task) => asked.value.includes(task.id))) ?? all[0])
  },
  { immediate: true },
)

function choose(one: Filter | undefined) {
  filterId.value = one?.id
  tasks.value = (one?.tasks ?? []).filter((task) => asked.value.includes(task.id)).map((task) => task.id)
}

async function begin() {
  if (filterId.value === undefined) return
  const id = crypto.randomUUID()
  const grams = typedNumber(media.grams)
  const exchange = chores.value.includes('BIO_PART_REPLACED')
  if (exchange && (media.stage === undefined || grams === undefined || Number.isNaN(grams))) {
    refuse({ 'media.grams': 'Which media, and how many grams?' })
    return
  }
  const start = {
    filterId: filterId.value,
    tasks: tasks.value,
    chores: chores.value,
    overrideReason: media.reason.trim() || undefined,
    media: exchange ? { stageId: media.stage ?? 0, grams: grams ?? 0 } : undefined,
  }
  if (await send(() => startGuided.mutateAsync({ id, start })))
    await router.push({ name: 'service', params: { service: id } })
}
</script>

<template>
  <main class="page prepare">
    <AsyncState
      :pending="tank.isPending.value || filters.isPending.value"
      :error="tank.error.value ?? filters.error.value"
      what="the tank"
      @retry="(tank.refetch(), filters.refetch())"
    >
      <h1>{{ tank.data.value?.tank.name }}</h1>
      <p v-if="filters.data.value?.length === 0">
        This tank has no filter yet.
        <RouterLink :to="{ name: 'new-filter', params: { tank: props.tank } }">Add one</RouterLink>
      </p>
      <div v-else class="columns">
        <form class="work" @submit.prevent="begin">
          <div v-if="(filters.data.value?.length ?? 0) > 1" class="filters" role="group" aria-label="Filter">
            <button
              v-for="one in filters.data.value"
              :key="one.id"
              class="button outlined"
              type="button"
              :aria-pressed="one.id === filterId"
              @click="choose(one)"
            >
              {{ one.name }}
            </button>
          </div>
          <h2>What is to be done</h2>
          <label
            v-for="task in filter?.tasks.filter((one) => one.mode !== 'OFF')"
            :key="task.id"
            class="tick"
          >
            <input v-model="tasks" type="checkbox" :value="task.id" /> {{ task.name }}
          </label>
          <label v-for="chore in offered" :key="chore.value" class="tick">
            <input v-model="chores" type="checkbox" :value="chore.value" /> {{ chore.label }}
          </label>
          <MediaPick
            v-if="chores.includes('BIO_PART_REPLACED')"
            v-model:stage="media.stage"
            v-model:grams="media.grams"
            v-model:reason="media.reason"
            :tank="props.tank"
            :errors="errors"
          />
          <template v-if="held.length && (tasks.length || chores.length)">
            <div v-for="one in held" :key="one.hold.cause">
              <HoldNotice :hold="one.hold" />
              <p class="small quiet">On hold: {{ one.work.join(', ') }}.</p>
            </div>
            <TextField
              v-if="!chores.includes('BIO_PART_REPLACED')"
              v-model="media.reason"
              label="Why it is done anyway"
              name="overrideReason"
              type="textarea"
              hint="Kept with the record."
              :error="errors.overrideReason"
            />
          </template>
          <p v-if="errors.tasks || trouble" class="trouble" role="alert">{{ errors.tasks ?? trouble }}</p>
          <div class="actions">
            <button class="button" type="submit" :disabled="sending || tasks.length + chores.length === 0">
              Start
            </button>
            <RouterLink
              class="button plain"
              :to="{ name: 'log', params: { tank: props.tank }, query: { tasks: tasks.join(',') } }"
              >Only log it</RouterLink
            >
          </div>
        </form>
        <AsyncState
          :pending="procedure.isPending.value"
          :error="procedure.error.value"
          what="the steps"
          @retry="procedure.refetch()"
        >
          <BenchCard
            v-if="procedure.data.value && (tasks.length || chores.length)"
            :procedure="procedure.data.value"
            :tank="tank.data.value?.tank.name ?? ''"
          />
          <p v-else class="quiet">Tick what you want to do; what it takes and every step appear here.</p>
        </AsyncState>
      </div>
    </AsyncState>
  </main>
</template>

<style scoped>
.columns {
  display: grid;
  grid-template-columns: minmax(260px, 360px) minmax(0, 1fr);
  gap: 40px;
  margin-top: 14px;
}

.filters,
.actions {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin: 10px 0;
}

[aria-pressed='true'] {
  border-color: var(--herb);
  background: var(--herb-soft);
}

.tick {
  display: flex;
  gap: 12px;
  align-items: center;
  min-height: var(--touch);
  border-bottom: 1px solid var(--hair);
}

.tick input {
  width: 24px;
  height: 24px;
  accent-color: var(--herb);
}

.actions .button {
  min-height: var(--touch);
}

.trouble {
  color: var(--brick);
  font-weight: 600;
}

@media (width <= 900px) {
  .columns {
    grid-template-columns: minmax(0, 1fr);
  }
}

@media print {
  .work {
    display: none;
  }
}
</style>
