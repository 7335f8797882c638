<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import {
  BuildFields,
  fromPassport,
  OwnSteps,
  PlacesEditor,
  toPassport,
  TrayPicture,
  useFilter,
  useUpdateFilter,
  withPassport,
  type Filter,
  type InsideForm,
} from '@/features/filter'
import { PhotoStrip } from '@/features/visit'
import SumLinks from '@/shared/components/SumLinks.vue'
import AsyncState from '@/shared/components/AsyncState.vue'
import ConflictNotice from '@/shared/components/ConflictNotice.vue'
import FormPage from '@/shared/components/FormPage.vue'
import { errorsWithin, useSending } from '@/shared/form'
import { inOurUnits } from '@/shared/units'
import { counted } from '@/shared/words'

/** At the table: how one filter is built and what sits where, so that its steps are its own. */
const props = defineProps<{ tank: number; filter: number }>()

const router = useRouter()
const query = useFilter(() => props.filter, true)
const update = useUpdateFilter()
const { sending, errors, trouble, conflict, send, refuse } = useSending()

const form = ref<InsideForm>()
const read = ref<Filter>()
const plain = computed(() => errorsWithin(errors.value, 'filter'))
const drawn = computed(() => (form.value ? (toPassport(form.value).passport.chambers ?? []) : []))
const hasLamp = computed(() => read.value?.stages.some((stage) => stage.kind === 'UV_LAMP') ?? false)

watch(query.data, (filter) => filter && !form.value && take(filter), { immediate: true })

function take(filter: Filter) {
  read.value = filter
  form.value = fromPassport(filter)
  conflict.value = undefined
}

async function save() {
  if (!form.value || !read.value) return
  const before = read.value
  const { passport, errors: amiss } = toPassport(form.value)
  if (Object.keys(amiss).length) {
    refuse(amiss)
    return
  }
  const saved = await send(() =>
    update.mutateAsync({ id: before.id, version: before.version, filter: withPassport(before, passport) }),
  )
  if (!saved) return
  if (saved.doubts.length) take(saved)
  else await leave()
}

const leave = () => router.push({ name: 'tank', params: { tank: props.tank } })
</script>

<template>
  <AsyncState
    :pending="query.isPending.value"
    :error="query.error.value"
    what="the filter"
    @retry="query.refetch()"
  >
    <FormPage
      v-if="form && read"
      :title="`Inside ${read.name}`"
      action="Save"
      :sending="sending"
      :trouble="conflict ? '' : trouble"
      @submit="save"
    >
      <ConflictNotice
        v-if="conflict"
        what="this filter"
        can-take
        @take="take(conflict as Filter)"
        @keep="((read = conflict as Filter), (conflict = undefined))"
      >
        <p>Yours is still below: {{ counted(drawn.flatMap((room) => room.places).length, 'place') }}.</p>
      </ConflictNotice>
      <p v-if="!read.placesStated" class="quiet">
        Nobody has said yet what sits where. This is what is usual for such a filter: change it to yours, then
        save.
      </p>
      <section
        v-if="read.doubts.length"
        class="doubts grid gap-3 mb-4 py-12px px-16px edge-1.5-amber rounded"
        aria-label="Worth a second look"
      >
        <h2>Worth a second look</h2>
        <ul>
          <li v-for="doubt in read.doubts" :key="doubt" class="py-1">{{ inOurUnits(doubt) }}</li>
        </ul>
      </section>
      <section class="grid gap-3 mb-4" aria-labelledby="places">
        <h2 id="places">What sits where, from the top</h2>
        <p class="quiet">
          In the order your hand meets it. The order in which water meets it is the water path; neither
          follows from the other.
        </p>
        <PlacesEditor v-model="form" :stages="read.stages" :errors="plain" />
        <SumLinks
          :tank="props.tank"
          :sums="[
            { name: 'hold', question: 'How much media fits in there?' },
            { name: 'bags', question: 'How many bags?' },
            { name: 'cut', question: 'How many pieces of foam from a sheet?' },
          ]"
        />
      </section>
      <section class="grid gap-3 mb-4" aria-labelledby="build">
        <h2 id="build">How it is built</h2>
        <BuildFields v-model="form" :kind="read.kind" :lamp="hasLamp" :errors="plain" />
      </section>
      <section class="grid gap-3 mb-4" aria-labelledby="own">
        <h2 id="own">Your own steps</h2>
        <OwnSteps v-model="form" :errors="plain" />
      </section>
      <template #beside>
        <el-button type="primary" text @click="leave">{{
          read.doubts.length ? 'Back to the tank' : 'Cancel'
        }}</el-button>
      </template>
      <template #aside>
        <h2>As your hand meets it</h2>
        <TrayPicture
          class="[margin-block:12px_28px]"
          :chambers="drawn"
          :parts="read.stages"
          :lid="read.kind === 'CANISTER'"
        />
        <h2>As it is built</h2>
        <PhotoStrip class="grid gap-3 mb-4" :of="{ filter: props.filter }" />
      </template>
    </FormPage>
  </AsyncState>
</template>
