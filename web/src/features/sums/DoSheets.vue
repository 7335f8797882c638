<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useMove, useTakeMoveBack } from '@/features/stock'
import SelectField from '@/shared/components/SelectField.vue'
import { today } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { offerUndo } from '@/shared/undo'
import type { Known } from './prefill'
import type { Answer } from './queries'
import { newId } from '@/shared/ids'

/** Sheets that were cut up leave the shelf, and the pieces come onto theirs. */
const props = defineProps<{ known: Known; answer: Answer }>()

const move = useMove()
const back = useTakeMoveBack()
const { sending, trouble, send } = useSending()
const sheet = ref<number>()
const piece = ref<number>()
const items = computed(() =>
  (props.known.stores?.items ?? [])
    .filter((one) => one.item.unit === 'PIECE' && !one.item.turned && !one.item.kit)
    .map((one) => ({
      value: one.id,
      label: one.item.name,
      hint: one.shelf ? texts.there(one.shelf.ready) : texts.neverCounted,
    })),
)
const sheets = computed(() => Number(props.answer.values.sheets))
const pieces = computed(() => Number(props.answer.values.best ?? 0) * sheets.value)

async function cut() {
  const moves = [
    {
      id: newId(),
      itemId: sheet.value ?? 0,
      kind: 'LOST' as const,
      amount: sheets.value,
    },
    ...(piece.value && pieces.value
      ? [
          {
            id: newId(),
            itemId: piece.value,
            kind: 'BOUGHT' as const,
            amount: pieces.value,
          },
        ]
      : []),
  ]
  const done = await send(async () => {
    for (const one of moves) await move.mutateAsync({ ...one, on: today() })
    return true
  })
  if (done) {
    offerUndo(texts.storesFollowWhatWas, async () => {
      for (const one of moves) await back.mutateAsync(one.id)
    })
  }
}
</script>

<template>
  <div v-if="items.length" class="grid gap-10px justify-items-start">
    <SelectField
      v-model="sheet"
      class="grid gap-10px justify-items-start"
      :label="sheets === 1 ? texts.oneSheetUsedUp : texts.sheetsUsedUpOf(sheets)"
      name="sheet"
      :choices="items"
    />
    <SelectField
      v-if="pieces"
      v-model="piece"
      class="grid gap-10px justify-items-start"
      :label="texts.piecesBecome(pieces)"
      name="piece"
      :hint="texts.mayStayEmpty"
      :choices="items"
    />
    <el-button type="primary" :disabled="!sheet" :loading="sending" @click="cut">{{
      texts.takeThemFromStores
    }}</el-button>
    <p v-if="trouble" class="error" role="alert">{{ trouble }}</p>
  </div>
  <p v-else class="quiet">
    {{ texts.keepSheetsIn }} <RouterLink :to="{ name: 'stores' }">{{ texts.stores }}</RouterLink>{{
      texts.andWhatIsCut
    }}
  </p>
</template>
