<script setup lang="ts">
import { texts } from './texts'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import { shortDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { useStockMoves, useTakeMoveBack, type StockItem } from './queries'
import { amountWords, KIND_WORDS } from './stores'

/** What happened to a thing lately; what was written down here can be taken back. */
const props = defineProps<{ item: StockItem }>()

const moves = useStockMoves(() => props.item.id)
const takeBack = useTakeMoveBack()
const { sending, trouble, send } = useSending()
</script>

<template>
  <section :aria-label="texts.whatHappened">
    <h2>{{ texts.whatHappened }}</h2>
    <AsyncState
      :pending="moves.isPending.value"
      :error="lacking(moves)"
      :what="texts.whatHappened2"
      @retry="moves.refetch()"
    >
      <p v-if="moves.data.value?.length === 0" class="quiet">{{ texts.nothingYetCountIt }}</p>
      <p v-if="trouble" role="alert">{{ trouble }}</p>
      <ul>
        <li v-for="move in moves.data.value" :key="move.id">
          <span class="quiet">{{ shortDay(move.on) }}</span>
          <b class="num text-right">{{ amountWords(move.amount, item.item.unit) }}</b>
          <span>{{ KIND_WORDS[move.kind] }}</span>
          <span class="small quiet">{{ move.by }}</span>
          <el-button
            v-if="!move.service"
            type="primary"
            text
            :disabled="sending"
            @click="send(() => takeBack.mutateAsync(move.id))"
          >
            {{ texts.takeBack }}
          </el-button>
        </li>
      </ul>
    </AsyncState>
  </section>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 90px 70px 160px 1fr auto;
  gap: 10px;
  align-items: center;
  min-height: 40px;
  border-top: 1px solid var(--hair);
}

@media (width <= 640px) {
  li {
    grid-template-columns: 70px 60px 1fr auto;
  }
}
</style>
