<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, useTemplateRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useTank } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'
import MomentField from '@/shared/components/MomentField.vue'
import { useSending } from '@/shared/form'
import { useNow } from '@/shared/now'
import { inOurUnits } from '@/shared/units'
import { byParameter, offered, toSet } from './entry'
import KeyPad from './KeyPad.vue'
import {
  doubtsOf,
  useKeepReadings,
  useMethods,
  useParameters,
  useWater,
  type Parameter,
  type ReadingSet,
} from './queries'
import { keptSet, type ValueDraft } from './tests'
import { useUnits } from './units'
import ValueRow from './ValueRow.vue'
import { newId } from '@/shared/ids'

/** At the tank: a set of values with a large keypad, each beside its last value and its test's times. */
const props = defineProps<{ tank: number }>()

const router = useRouter()
const tank = useTank(() => props.tank)
const water = useWater(() => props.tank)
const parameters = useParameters()
const methods = useMethods()
const keep = useKeepReadings(() => props.tank)
const { sending, errors, trouble, send, refuse } = useSending()
const { units } = useUnits()
const now = useNow()

const { draft, clear } = keptSet(props.tank)
const every = ref(false)
const chosen = ref('')
const sent = ref<ReadingSet>()
const doubts = ref<Record<string, string>>({})
const rows = useTemplateRef<InstanceType<typeof ValueRow>[]>('rows')

const due = computed(() => (water.data.value?.due ?? []).map((one) => one.parameter))
const shown = computed(() =>
  offered(parameters.data.value ?? [], {
    read: (water.data.value?.last ?? []).map((one) => one.parameter),
    due: due.value,
    salt: ['MARINE', 'BRACKISH'].includes(tank.data.value?.tank.setting.water ?? ''),
    every: every.value,
  }),
)
const faults = computed(() => byParameter(errors.value, sent.value))
const methodsOf = (parameter: Parameter) =>
  (methods.data.value ?? []).filter((one) => one.parameter === parameter.code)
const lastOf = (parameter: Parameter) =>
  water.data.value?.last.find((one) => one.parameter === parameter.code)

const blank = (parameter: Parameter): ValueDraft => ({
  id: newId(),
  text: '',
  method: lastOf(parameter)?.method || (methodsOf(parameter)[0]?.name ?? ''),
  early: false,
})
/** Parameters whose kits are known, each with its place to type. */
const typing = computed(() => (methods.data.value && water.data.value ? shown.value : []))

function makePlaces() {
  for (const parameter of typing.value) draft.values[parameter.code] ??= blank(parameter)
}
watch(typing, makePlaces, { immediate: true })
watch(
  () => rows.value?.length,
  (count, before) => {
    if (count && !before) rows.value?.[0]?.focus()
  },
  { flush: 'post' },
)

const place = () => shown.value.findIndex((one) => one.code === chosen.value)

function press(key: string) {
  const parameter = shown.value[place()] ?? shown.value[0]
  const value = parameter && draft.values[parameter.code]
  if (!value) return
  value.text = key === 'back' ? value.text.slice(0, -1) : value.text + key
  rows.value?.[Math.max(place(), 0)]?.typed()
}

function next() {
  rows.value?.[(place() + 1) % shown.value.length]?.focus()
}

async function save() {
  const { set, errors: amiss } = toSet(draft, shown.value, units.value)
  if (set.values.length === 0 && Object.keys(amiss).length === 0) amiss.values = texts.typeAtLeastOne
  if (Object.keys(amiss).length) {
    refuse(amiss)
    return
  }
  sent.value = set
  const asked = await send(() => doubtsOf(props.tank, set))
  if (!asked) return
  const fresh = asked.filter((doubt) => doubts.value[doubt.parameter] !== inOurUnits(doubt.question))
  doubts.value = Object.fromEntries(asked.map((doubt) => [doubt.parameter, inOurUnits(doubt.question)]))
  if (fresh.length) return
  const stoodBy = asked.length > 0 ? { ...set, confirmed: true } : set
  if (!(await send(() => keep.mutateAsync(stoodBy)))) return
  clear()
  makePlaces()
  await router.push({ name: 'tank-water', params: { tank: props.tank } })
}
</script>

<template>
  <main class="page readings max-half:pt-3 max-half:pb-0 max-half:px-3">
    <AsyncState
      :pending="
        tank.isPending.value || water.isPending.value || parameters.isPending.value || methods.isPending.value
      "
      :error="lacking(tank, water, parameters, methods)"
      :what="texts.theTank"
      @retry="(tank.refetch(), water.refetch(), parameters.refetch(), methods.refetch())"
    >
      <form novalidate @submit.prevent="save">
        <div class="max-half:flex-1 max-half:overflow-y-auto">
          <h1>{{ texts.readings(tank.data.value?.tank.name ?? '') }}</h1>
          <ValueRow
            v-for="parameter in typing.filter((one) => draft.values[one.code])"
            :key="parameter.code"
            ref="rows"
            v-model="draft.values[parameter.code] as ValueDraft"
            :parameter="parameter"
            :last="lastOf(parameter)"
            :methods="methodsOf(parameter)"
            :due="due.includes(parameter.code)"
            :now="now"
            :error="faults[parameter.code]"
            :doubt="doubts[parameter.code]"
            @chosen="chosen = parameter.code"
            @next="next"
          />
          <el-button v-if="!every" type="primary" text @click="every = true">
            {{ texts.moreParameters }}
          </el-button>
          <details class="mt-10px">
            <summary class="min-h-touch content-center cursor-pointer">{{ texts.when }}</summary>
            <MomentField
              v-model="draft.takenAt"
              :label="texts.readAt"
              name="takenAt"
              :hint="texts.leaveBlankForNow"
              :error="faults.takenAt"
            />
            <ChoiceRow
              v-model="draft.moment"
              :legend="texts.aroundAService"
              name="moment"
              :choices="[
                { value: 'PLAIN', label: texts.none2 },
                { value: 'BEFORE', label: texts.beforeIt },
                { value: 'AFTER', label: texts.afterIt },
              ]"
            />
          </details>
        </div>
        <div class="dock">
          <p v-if="faults.values || trouble" class="trouble" role="alert">{{ faults.values ?? trouble }}</p>
          <p v-else-if="Object.keys(doubts).length" class="small" role="status">
            {{ texts.checkTheMarkedValues }}
          </p>
          <KeyPad @key="press" @next="next" />
          <el-button type="primary" class="min-h-56px" native-type="submit" :disabled="sending">{{
            texts.saveReadings
          }}</el-button>
        </div>
      </form>
    </AsyncState>
  </main>
</template>

<style scoped>
form {
  display: grid;
  grid-template-columns: minmax(0, 560px) minmax(260px, 360px);
  gap: 40px;
}

.dock {
  position: sticky;
  top: 20px;
  display: grid;
  gap: 10px;
  align-self: start;
}

@media (width <= 900px) {
  form {
    display: flex;
    flex-direction: column;
    gap: 0;
    height: calc(100dvh - 72px);
  }

  .dock {
    position: static;
    align-self: stretch;
    margin: 0 -14px;
    padding: 8px 14px;
    border-top: 1px solid var(--line);
    background: var(--surface);
  }
}
</style>
