<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useSession } from '@/features/account'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import DayField from '@/shared/components/DayField.vue'
import FormPage from '@/shared/components/FormPage.vue'
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
  const sure = await ElMessageBox.confirm(texts.itsFiltersAndLog, texts.delete(name), {
    confirmButtonText: texts.delete2,
    cancelButtonText: texts.keep,
  }).catch(() => undefined)
  if (!sure) return
  await send(async () => {
    await remove.mutateAsync(props.tank)
    await router.push({ name: 'tanks' })
    offerUndo(texts.deleted(name), () => restore.mutateAsync(props.tank))
  })
}

const leave = () => router.push({ name: 'tank', params: { tank: props.tank } })
</script>

<template>
  <AsyncState
    :pending="query.isPending.value"
    :error="lacking(query)"
    :what="texts.theTank"
    @retry="query.refetch()"
  >
    <FormPage
      v-if="form && read"
      :title="read.tank.name"
      :action="texts.save"
      :sending="sending"
      :trouble="conflict ? '' : trouble"
      @submit="save"
    >
      <StaleTank
        v-if="conflict"
        :mine="form"
        :current="conflict as Tank"
        @take="(tank) => ((read = tank), (form = fromTank(tank)), (conflict = undefined))"
        @keep="(tank) => ((read = tank), (conflict = undefined))"
      />
      <TankFields v-model="form" :errors="unprefixed" :rooms="rooms" existing />
      <DayField
        v-if="moved"
        v-model="changedOn"
        :label="texts.sinceWhen"
        name="changedOn"
        :max="today()"
        :hint="texts.olderFindingsCountFor"
        :error="errors.changedOn"
      />
      <p v-if="session?.role === 'KEEPER'" class="give">
        <a :href="`/api/archive.zip?tank=${tank}`" download>{{ texts.saveItForAnother }}</a><span
          class="quiet"
          >{{ texts.filtersLogReadingsAnd }}</span
        >
      </p>
      <template #beside>
        <el-button type="primary" text @click="leave">{{ texts.cancel }}</el-button>
        <el-button v-if="session?.role === 'KEEPER'" type="danger" text class="ml-auto" @click="destroy">
          {{ texts.deleteTank }}
        </el-button>
      </template>
    </FormPage>
  </AsyncState>
</template>
