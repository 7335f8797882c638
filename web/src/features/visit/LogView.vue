<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useAccounts, useSession } from '@/features/account'
import { useFilters } from '@/features/filter'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ConflictNotice from '@/shared/components/ConflictNotice.vue'
import DayField from '@/shared/components/DayField.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import NumberField from '@/shared/components/NumberField.vue'
import TextField from '@/shared/components/TextField.vue'
import { longDay, today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { Problem } from '@/shared/problem'
import { blankDraft, fromService, keptDraft, toInput, type Draft } from './draft'
import LogFilter from './LogFilter.vue'
import MovedPanel from './MovedPanel.vue'
import PhotoStrip from './PhotoStrip.vue'
import { useCorrectService, useSaveService, useService, type Saved, type Service } from './queries'

/** At the tank: tick what was done, grade what was opened, save once. Also corrects a service logged before. */
const props = defineProps<{ tank: number; service?: string }>()

const route = useRoute()
const { data: session } = useSession()
const accounts = useAccounts()
const tank = useTank(() => props.tank)
const filters = useFilters(() => props.tank)
const correcting = useService(() => props.service)
const save = useSaveService()
const correct = useCorrectService()
const { sending, errors, trouble, conflict, send, refuse } = useSending()

const saved = ref<Saved>()
const draft = ref<Draft>()
const version = ref(0)
let drop = () => {}

const tasks = computed(() => (filters.data.value ?? []).flatMap((filter) => filter.tasks))
const names = computed(() => (accounts.data.value ?? []).map((account) => account.name))
const failed = computed(() => lacking(tank, filters, ...(props.service ? [correcting] : [])))

watch(
  [correcting.data, () => session.value?.name],
  ([service, name]) => {
    if (draft.value || (props.service && !service) || name === undefined) return
    if (service) take(service)
    else begin(name)
  },
  { immediate: true },
)

function begin(name: string) {
  const kept = keptDraft(`tank ${String(props.tank)}`, () => ({ ...blankDraft(name), done: asked() }))
  draft.value = kept.draft
  drop = kept.drop
}

function take(service: Service) {
  version.value = service.version
  draft.value = fromService(service)
  conflict.value = undefined
}

/** Tasks that the rounds asked for. */
function asked(): number[] {
  const wanted = route.query.tasks
  return typeof wanted === 'string' ? wanted.split(',').map(Number).filter(Number.isInteger) : []
}

async function submit() {
  const typed = draft.value
  if (!typed) return
  const { input, errors: amiss } = toInput(typed, props.tank, tasks.value)
  if (input.tasks.length === 0) amiss.tasks = texts.tickAtLeastOne
  if (Object.keys(amiss).length) {
    refuse(amiss)
    return
  }
  const answer = await send(() =>
    props.service
      ? correct.mutateAsync({ id: typed.id, version: version.value, input })
      : save.mutateAsync({ id: typed.id, input }),
  )
  if (!answer) return
  drop()
  saved.value = answer
}

const notThere = computed(() => failed.value instanceof Problem && failed.value.status === 404)

const theTank = computed(() => ({ name: 'tank', params: { tank: props.tank } }))
const newFilter = computed(() => ({ name: 'new-filter', params: { tank: props.tank } }))
</script>

<template>
  <main class="page narrow log">
    <p v-if="notThere" class="quiet">
      {{ texts.thisTankOrService }}
      <RouterLink :to="{ name: 'rounds' }">{{ texts.backToRounds }}</RouterLink>
    </p>
    <AsyncState
      v-else
      :pending="tank.isPending.value || filters.isPending.value || !draft"
      :error="failed"
      :what="texts.theTank"
      @retry="(tank.refetch(), filters.refetch())"
    >
      <MovedPanel
        v-if="saved"
        :saved="saved"
        :corrected="props.service !== undefined"
        @merged="(one) => (saved = one)"
      />
      <form v-else-if="draft" class="grid gap-3" novalidate @submit.prevent="submit">
        <header>
          <p class="quiet small">{{ props.service ? texts.correctAService : texts.logAService }}</p>
          <h1>{{ tank.data.value?.tank.name }}</h1>
        </header>
        <p v-if="filters.data.value?.length === 0">
          {{ texts.thisTankHasNo }}
          <RouterLink :to="newFilter">{{ texts.addOne }}</RouterLink>
        </p>
        <el-checkbox v-model="draft.again" size="large">{{ texts.onlyOpenedForAnother }}</el-checkbox>
        <LogFilter
          v-for="filter in filters.data.value"
          :key="filter.id"
          v-model="draft"
          :filter="filter"
          :errors="errors"
          :alone="filters.data.value?.length === 1"
        />
        <p v-if="errors.tasks" class="trouble error" role="alert" data-field="tasks">{{ errors.tasks }}</p>
        <div class="grid cols-[repeat(auto-fit,minmax(160px,1fr))] gap-3">
          <DayField
            v-model="draft.doneOn"
            :label="texts.doneOn"
            name="doneOn"
            :max="today()"
            :error="errors.doneOn"
          />
          <TextField
            v-model="draft.doneBy"
            :label="texts.by"
            name="doneBy"
            :suggestions="names"
            :error="errors.doneBy"
          />
          <NumberField
            v-model="draft.minutes"
            :label="texts.itTook"
            name="minutes"
            :unit="texts.min4"
            :error="errors.minutes"
          />
        </div>
        <PhotoStrip v-if="props.service" :of="{ service: props.service }" />
        <TextField
          v-if="draft.overrideReason || errors['circumstances.overrideReason']"
          v-model="draft.overrideReason"
          :label="texts.whyItWasDone"
          name="circumstances.overrideReason"
          type="textarea"
          :error="errors['circumstances.overrideReason']"
        />
        <TextField
          v-model="draft.note"
          :label="texts.note"
          name="note"
          type="textarea"
          :error="errors.note"
        />
        <ConflictNotice
          v-if="conflict"
          :what="texts.thisService"
          can-take
          @take="take(conflict as Service)"
          @keep="((version = (conflict as Service).version), (conflict = undefined))"
        >
          <p>
            {{
              texts.savedNow(
                longDay((conflict as Service).doneOn),
                (conflict as Service).tasks
                  .map((task) => `${task.name}${task.finding ? ` (${task.finding.toLowerCase()})` : ''}`)
                  .join(', '),
              )
            }}
          </p>
        </ConflictNotice>
        <p v-else-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <div class="dock flex gap-10px py-12px bg-ground edge-t-line">
          <LinkButton type="primary" text :to="theTank">{{ texts.cancel }}</LinkButton>
          <el-button
            type="primary"
            class="flex-1 min-h-56px text-18px"
            native-type="submit"
            :disabled="sending"
          >
            {{ props.service ? texts.saveTheCorrection : texts.save }}
          </el-button>
        </div>
      </form>
    </AsyncState>
  </main>
</template>

<style scoped>
@media (width <= 640px) {
  /* Over the ticks, which lie above what stands around them. */
  .dock {
    position: sticky;
    bottom: 58px;
    z-index: 3;
  }
}
</style>
