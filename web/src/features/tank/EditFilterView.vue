<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useSession } from '@/features/account'
import {
  blankFilter,
  DraftPath,
  FilterFields,
  fromFilter,
  likeFilter,
  toInput,
  useCreateFilter,
  useDeleteFilter,
  useFilter,
  useRestoreFilter,
  useSetCleaned,
  useSiteFilters,
  useUpdateFilter,
  type Filter,
  type FilterForm,
} from '@/features/filter'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ConflictNotice from '@/shared/components/ConflictNotice.vue'
import FormPage from '@/shared/components/FormPage.vue'
import SelectField from '@/shared/components/SelectField.vue'
import { errorsWithin, useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { counted } from '@/shared/words'

/** At the table: add a filter to a tank, or change one. */
const props = defineProps<{ tank: number; filter?: number }>()

const router = useRouter()
const { data: session } = useSession()
const existing = computed(() => props.filter !== undefined)
const query = useFilter(() => props.filter ?? 0, existing)
const create = useCreateFilter()
const update = useUpdateFilter()
const setCleaned = useSetCleaned()
const remove = useDeleteFilter()
const restore = useRestoreFilter()
const { sending, errors, trouble, conflict, send, refuse } = useSending()

const form = ref<FilterForm | undefined>(existing.value ? undefined : blankFilter())
const read = ref<Filter>()
const unprefixed = computed(() => errorsWithin(errors.value, 'filter'))

/** A new filter can be built like another of the site, on whichever tank that is. */
const site = useSiteFilters()
const like = ref<number>()
const others = computed(() =>
  (site.data.value ?? []).map((filter) => ({ value: filter.id, label: filter.name })),
)
watch(like, (id) => {
  const other = site.data.value?.find((filter) => filter.id === id)
  if (other) form.value = likeFilter(other)
})

watch(query.data, (filter) => filter && !form.value && take(filter), { immediate: true })

function take(filter: Filter) {
  read.value = filter
  form.value = fromFilter(filter)
  conflict.value = undefined
}

async function save() {
  if (!form.value) return
  const { input, errors: amiss } = toInput(form.value)
  if (Object.keys(amiss).length) {
    refuse(amiss)
    return
  }
  const saved = await send(() =>
    read.value ? change(read.value, input) : create.mutateAsync({ tank: props.tank, filter: input }),
  )
  if (saved) await leave()
}

/** The day of the last cleaning is stored apart: dates that rest on it follow. */
async function change(before: Filter, input: ReturnType<typeof toInput>['input']) {
  const after = await update.mutateAsync({ id: before.id, version: before.version, filter: input })
  const cleaned = { on: input.careFrom, sureness: input.careSureness ?? 'EXACT' }
  const same =
    cleaned.sureness === before.cleaned.sureness &&
    (cleaned.sureness === 'UNKNOWN' || cleaned.on === before.cleaned.on)
  return same ? after : setCleaned.mutateAsync({ id: before.id, cleaned })
}

async function takeOut() {
  const { filter } = props
  if (filter === undefined) return
  const name = read.value?.name ?? ''
  const sure = await ElMessageBox.confirm(texts.itsLogIsKept, texts.takeOut(name), {
    confirmButtonText: texts.takeOut2,
    cancelButtonText: texts.keep,
  }).catch(() => undefined)
  if (!sure) return
  await send(async () => {
    await remove.mutateAsync(filter)
    await leave()
    offerUndo(texts.takenOut(name), () => restore.mutateAsync(filter))
  })
}

const leave = () => router.push({ name: 'tank', params: { tank: props.tank } })
</script>

<template>
  <AsyncState
    :pending="existing && query.isPending.value"
    :error="existing ? lacking(query) : null"
    :what="texts.theFilter"
    @retry="query.refetch()"
  >
    <FormPage
      v-if="form"
      :title="read ? read.name : texts.addAFilter"
      :action="existing ? texts.save : texts.addFilter"
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
        <p>
          {{
            texts.savedNow(
              (conflict as Filter).name,
              (conflict as Filter).stages.map((stage) => stage.name).join(' → '),
            )
          }}
        </p>
        <p>{{ texts.yoursIsStillBelow(form.name, counted(form.stages.length, 'stage')) }}</p>
      </ConflictNotice>
      <SelectField
        v-if="!existing && others.length"
        v-model="like"
        :label="texts.likeOneYouHave"
        name="like"
        :placeholder="texts.startFromAFilter"
        :choices="others"
      />
      <FilterFields v-model="form" :errors="unprefixed" :existing="existing || like !== undefined" />
      <template #beside>
        <el-button type="primary" text @click="leave">{{ texts.cancel }}</el-button>
        <el-button
          v-if="existing && session?.role === 'KEEPER'"
          type="danger"
          text
          class="ml-auto"
          @click="takeOut"
        >
          {{ texts.removeThisFilter }}
        </el-button>
      </template>
      <template #aside><DraftPath :form="form" /></template>
    </FormPage>
  </AsyncState>
</template>
