<script setup lang="ts">
import { texts } from './texts'
import { computed, ref, watch } from 'vue'
import { useRouter } from 'vue-router'
import { useSession } from '@/features/account'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import ConflictNotice from '@/shared/components/ConflictNotice.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import { errorsWithin, useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import MovesList from './MovesList.vue'
import { useAddItem, useChangeItem, useRemoveItem, useRestoreItem, useStores } from './queries'
import StockFields from './StockFields.vue'
import { emptyForm, formOf, toItem, type ItemForm } from './stores'

/** At the table: what is known of a thing in the stores, and what happened to it. */
const props = defineProps<{ item?: number; thing?: string }>()

const router = useRouter()
const session = useSession()
const stores = useStores()
const add = useAddItem()
const change = useChangeItem()
const remove = useRemoveItem()
const restore = useRestoreItem()
const { sending, errors, trouble, conflict, send, refuse } = useSending()

const form = ref<ItemForm>()
const version = ref(0)
const entry = computed(() => stores.data.value?.items.find((one) => one.id === props.item))
const gone = computed(() => props.item !== undefined && stores.data.value && !entry.value)
const fieldErrors = computed(() => errorsWithin(errors.value, 'item'))

watch(
  stores.data,
  (data) => {
    if (!data || form.value) return
    if (entry.value) {
      form.value = formOf(entry.value)
      version.value = entry.value.version
    } else if (props.item === undefined) {
      form.value = emptyForm(data.notKept.find((supply) => supply.name === props.thing))
    }
  },
  { immediate: true },
)

async function save() {
  if (!form.value) return
  const { item, errors: amiss } = toItem(form.value)
  if (Object.keys(amiss).length) {
    refuse(amiss)
    return
  }
  const saved = send(async () => {
    if (props.item === undefined) await add.mutateAsync(item)
    else await change.mutateAsync({ id: props.item, version: version.value, item })
    return true
  })
  if (await saved) await router.push({ name: 'stores' })
}

/** After somebody else's change: what was typed here stands, and the next press saves it over theirs. */
async function keepMine() {
  await stores.refetch()
  version.value = entry.value?.version ?? version.value
  await save()
}

async function takeOut() {
  const id = props.item
  if (id === undefined) return
  await send(async () => {
    await remove.mutateAsync(id)
    await router.push({ name: 'stores' })
    offerUndo(texts.takenOut(form.value?.name ?? ''), () => restore.mutateAsync(id))
  })
}
</script>

<template>
  <main class="page narrow">
    <AsyncState
      :pending="stores.isPending.value"
      :error="lacking(stores)"
      :what="texts.theStores"
      @retry="stores.refetch()"
    >
      <h1>{{ entry ? entry.item.name : gone ? texts.notInTheStores : texts.addAnItem }}</h1>
      <p v-if="gone" class="quiet">
        {{ texts.itWasTakenOut }}
        <RouterLink :to="{ name: 'stores' }">{{ texts.backToTheStores }}</RouterLink>
      </p>
      <form v-else-if="form" class="grid gap-18px mt-3 mb-24px" novalidate @submit.prevent="save">
        <StockFields
          v-model="form"
          :errors="fieldErrors"
          :suggested="entry?.suggestedReorderAt"
          :names="stores.data.value?.notKept.map((supply) => supply.name) ?? []"
          :currency="session.data.value?.units?.currency ?? 'EUR'"
        />
        <ConflictNotice v-if="conflict" :what="texts.thisItem" @keep="keepMine" />
        <p v-else-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
        <div class="actions flex flex-wrap gap-10px">
          <el-button type="primary" native-type="submit" :disabled="sending">{{ texts.save }}</el-button>
          <LinkButton type="primary" text :to="{ name: 'stores' }">{{ texts.cancel }}</LinkButton>
          <el-button
            v-if="entry && session.data.value?.role === 'KEEPER'"
            type="primary"
            text
            @click="takeOut"
          >
            {{ texts.removeIt }}
          </el-button>
        </div>
      </form>
      <MovesList v-if="entry" :item="entry" />
    </AsyncState>
  </main>
</template>
