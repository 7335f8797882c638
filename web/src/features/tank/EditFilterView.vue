<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useSession } from '@/features/account'
import {
  blankFilter,
  FilterFields,
  fromFilter,
  toInput,
  useCreateFilter,
  useDeleteFilter,
  useFilter,
  useRestoreFilter,
  useSetCleaned,
  useUpdateFilter,
  type Filter,
  type FilterForm,
} from '@/features/filter'
import AsyncState from '@/shared/components/AsyncState.vue'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'

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
const unprefixed = computed(() =>
  Object.fromEntries(
    Object.entries(errors.value).map(([field, message]) => [field.replace(/^filter\./, ''), message]),
  ),
)

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
  const sure = await ElMessageBox.confirm(
    'Its log is kept. It can be put back for 30 days.',
    `Take out ${name}?`,
    {
      confirmButtonText: 'Take out',
      cancelButtonText: 'Keep',
    },
  ).catch(() => undefined)
  if (!sure) return
  await send(async () => {
    await remove.mutateAsync(filter)
    await leave()
    offerUndo(`${name} taken out.`, () => restore.mutateAsync(filter))
  })
}

const leave = () => router.push({ name: 'tank', params: { tank: props.tank } })
</script>

<template>
  <main class="page narrow">
    <AsyncState
      :pending="existing && query.isPending.value"
      :error="existing ? query.error.value : null"
      what="the filter"
      @retry="query.refetch()"
    >
      <form v-if="form" novalidate @submit.prevent="save">
        <h1>{{ read ? read.name : 'Add a filter' }}</h1>
        <div v-if="conflict" class="stale" role="alert">
          <p>
            <strong>Somebody changed this filter meanwhile.</strong> Stored now:
            {{ (conflict as Filter).name }},
            {{ (conflict as Filter).stages.map((stage) => stage.name).join(' → ') }}.
          </p>
          <p>Yours: {{ form.name }}, {{ form.stages.length }} stages, still below.</p>
          <button class="button outlined" type="button" @click="take(conflict as Filter)">
            Take what is stored
          </button>
          <button
            class="button outlined"
            type="button"
            @click="((read = conflict as Filter), (conflict = undefined))"
          >
            Keep mine, then save again
          </button>
        </div>
        <FilterFields v-model="form" :errors="unprefixed" :existing="existing" />
        <p v-if="trouble && !conflict" class="trouble" role="alert">{{ trouble }}</p>
        <div class="actions">
          <button class="button" type="submit" :disabled="sending">
            {{ existing ? 'Save' : 'Add filter' }}
          </button>
          <button class="button plain" type="button" @click="leave">Leave</button>
          <button
            v-if="existing && session?.role === 'KEEPER'"
            class="button plain out"
            type="button"
            @click="takeOut"
          >
            Take out …
          </button>
        </div>
      </form>
    </AsyncState>
  </main>
</template>

<style scoped>
form {
  display: grid;
  gap: var(--gap-4);
}

.stale {
  padding: 14px 18px;
  border-left: 5px solid var(--amber);
  background: var(--amber-soft);
}

.trouble {
  color: var(--brick);
  font-weight: 600;
}

.actions {
  display: flex;
  gap: 10px;
}

.out {
  margin-left: auto;
  color: var(--brick);
}
</style>
