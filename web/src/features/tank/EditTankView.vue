<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useSession } from '@/features/account'
import AsyncState from '@/shared/components/AsyncState.vue'
import TextField from '@/shared/components/TextField.vue'
import { today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import { fromTank, toInput, type TankForm } from './form'
import { useDeleteTank, useRestoreTank, useTank, useTanks, useUpdateTank, type Tank } from './queries'
import StaleTank from './StaleTank.vue'
import TankFields from './TankFields.vue'

/** At the table: describe a tank anew; a move of stocking or feeding is dated, since it changes the windows. */
const props = defineProps<{ tank: number }>()

const router = useRouter()
const { data: session } = useSession()
const tanks = useTanks()
const query = useTank(() => props.tank)
const update = useUpdateTank()
const remove = useDeleteTank()
const restore = useRestoreTank()
const { sending, errors, trouble, conflict, send, refuse } = useSending()

const form = ref<TankForm>()
const read = ref<Tank>()
const changedOn = ref(today())
const rooms = computed(() => [
  ...new Set((tanks.data.value ?? []).map((one) => one.tank.room).filter(Boolean)),
])
const moved = computed(() => {
  const was = read.value?.tank.setting
  const is = form.value?.setting
  return was && is && (was.stocking !== is.stocking || was.feeding !== is.feeding)
})
const unprefixed = computed(() =>
  Object.fromEntries(
    Object.entries(errors.value).map(([field, message]) => [field.replace(/^tank\./, ''), message]),
  ),
)

watch(
  query.data,
  (tank) => {
    if (!tank || form.value) return
    read.value = tank
    form.value = fromTank(tank)
  },
  { immediate: true },
)

async function save() {
  if (!form.value || !read.value) return
  const { input, errors: amiss } = toInput(form.value)
  if (Object.keys(amiss).length) {
    refuse(amiss)
    return
  }
  const change = { version: read.value.version, changedOn: changedOn.value, tank: input }
  if (await send(() => update.mutateAsync({ id: props.tank, change }))) await leave()
}

async function destroy() {
  const name = read.value?.tank.name ?? ''
  const sure = await ElMessageBox.confirm(
    'Its filters and log go with it. It can be restored for 30 days.',
    `Delete ${name}?`,
    {
      confirmButtonText: 'Delete',
      cancelButtonText: 'Keep',
    },
  ).catch(() => undefined)
  if (!sure) return
  await send(async () => {
    await remove.mutateAsync(props.tank)
    await router.push({ name: 'tanks' })
    offerUndo(`${name} deleted.`, () => restore.mutateAsync(props.tank))
  })
}

const leave = () => router.push({ name: 'tank', params: { tank: props.tank } })
</script>

<template>
  <main class="page narrow">
    <AsyncState
      :pending="query.isPending.value"
      :error="query.error.value"
      what="the tank"
      @retry="query.refetch()"
    >
      <form v-if="form && read" novalidate @submit.prevent="save">
        <h1>{{ read.tank.name }}</h1>
        <StaleTank
          v-if="conflict"
          :mine="form"
          :current="conflict as Tank"
          @take="(tank) => ((read = tank), (form = fromTank(tank)), (conflict = undefined))"
          @keep="(tank) => ((read = tank), (conflict = undefined))"
        />
        <TankFields v-model="form" :errors="unprefixed" :rooms="rooms" existing />
        <TextField
          v-if="moved"
          v-model="changedOn"
          label="Since when is it so?"
          name="changedOn"
          type="date"
          :max="today()"
          hint="Older findings count for less from this day on."
          :error="errors.changedOn"
        />
        <p v-if="trouble && !conflict" class="trouble" role="alert">{{ trouble }}</p>
        <div class="actions">
          <button class="button" type="submit" :disabled="sending">Save</button>
          <button class="button plain" type="button" @click="leave">Leave</button>
          <button
            v-if="session?.role === 'KEEPER'"
            class="button plain delete"
            type="button"
            @click="destroy"
          >
            Delete tank …
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

.trouble {
  color: var(--brick);
  font-weight: 600;
}

.actions {
  display: flex;
  gap: 10px;
}

.delete {
  margin-left: auto;
  color: var(--brick);
}
</style>
