<script setup lang="ts">
import { texts } from './texts'
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
import { lacking } from '@/shared/asking'
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
    :error="lacking(query)"
    :what="texts.theFilter"
    @retry="query.refetch()"
  >
    <FormPage
      v-if="form && read"
      :title="texts.inside(read.name)"
      :action="texts.save"
      :sending="sending"
      :trouble="conflict ? '' : trouble"
      @submit="save"
    >
      <ConflictNotice
        v-if="conflict"
        :what="texts.thisFilter"
        can-take
        @take="take(conflict as Filter)"
        @keep="((read = conflict as Filter), (conflict = undefined))"
      >
        <p>{{ texts.yoursIsStillBelow2(counted(drawn.flatMap((room) => room.places).length, 'place')) }}</p>
      </ConflictNotice>
      <p v-if="!read.placesStated" class="quiet">
        {{ texts.nobodyHasSaidYet }}
      </p>
      <section
        v-if="read.doubts.length"
        class="doubts grid gap-3 mb-4 py-12px px-16px edge-1.5-amber rounded"
        :aria-label="texts.worthASecondLook"
      >
        <h2>{{ texts.worthASecondLook }}</h2>
        <ul>
          <li v-for="doubt in read.doubts" :key="doubt" class="py-1">{{ inOurUnits(doubt) }}</li>
        </ul>
      </section>
      <section class="grid gap-3 mb-4" aria-labelledby="places">
        <h2 id="places">{{ texts.whatSitsWhereFrom }}</h2>
        <p class="quiet">
          {{ texts.inTheOrderYour }}
        </p>
        <PlacesEditor v-model="form" :stages="read.stages" :errors="plain" />
        <SumLinks
          :tank="props.tank"
          :sums="[
            { name: 'hold', question: texts.howMuchMediaFits },
            { name: 'bags', question: texts.howManyBags },
            { name: 'cut', question: texts.howManyPiecesOf },
          ]"
        />
      </section>
      <section class="grid gap-3 mb-4" aria-labelledby="build">
        <h2 id="build">{{ texts.howItIsBuilt }}</h2>
        <BuildFields v-model="form" :kind="read.kind" :lamp="hasLamp" :errors="plain" />
      </section>
      <section class="grid gap-3 mb-4" aria-labelledby="own">
        <h2 id="own">{{ texts.yourOwnSteps }}</h2>
        <OwnSteps v-model="form" :errors="plain" />
      </section>
      <template #beside>
        <el-button type="primary" text @click="leave">{{
          read.doubts.length ? texts.backToTheTank : texts.cancel
        }}</el-button>
      </template>
      <template #aside>
        <h2>{{ texts.asYourHandMeets }}</h2>
        <TrayPicture
          class="[margin-block:12px_28px]"
          :chambers="drawn"
          :parts="read.stages"
          :lid="read.kind === 'CANISTER'"
        />
        <h2>{{ texts.asItIsBuilt }}</h2>
        <PhotoStrip class="grid gap-3 mb-4" :of="{ filter: props.filter }" />
      </template>
    </FormPage>
  </AsyncState>
</template>
