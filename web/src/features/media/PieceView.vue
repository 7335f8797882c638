<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import { useRouter } from 'vue-router'
import { useRights } from '@/features/account'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import StateTag from '@/shared/components/StateTag.vue'
import { datedDay } from '@/shared/dates'
import { useSending } from '@/shared/form'
import { mass } from '@/shared/units'
import LifeLine from './LifeLine.vue'
import MovePiece from './MovePiece.vue'
import PieceName from './PieceName.vue'
import { usePiece, usePieces, useRemovePiece, useTakeMoveBack } from './queries'
import { standingOf, stayWords, whereWords, worthWords } from './words'

/** One bag, foam or basket: where it has been, what it is worth, and where it goes next. */
const props = defineProps<{ piece: string }>()

const router = useRouter()
const life = usePiece(() => props.piece)
const all = usePieces()
const remove = useRemovePiece()
const takeBack = useTakeMoveBack()
const { mayWork } = useRights()
const { trouble, send } = useSending()
const removing = ref(false)

const now = computed(() => life.data.value?.piece)
const named = (id: string) => all.data.value?.find((one) => one.id === id)
const whole = computed(() => (now.value?.fromId ? named(now.value.fromId) : undefined))
const parts = computed(() => (now.value?.parts ?? []).flatMap((id) => named(id) ?? []))
const mayTakeBack = computed(() => (now.value?.stays.length ?? 0) > 1)

async function back() {
  const whole = now.value?.fromId
  const taken = await send(async () => {
    await takeBack.mutateAsync(now.value?.lastMove.id ?? '')
    return true
  })
  if (taken && whole && !named(props.piece)) await router.replace({ name: 'piece', params: { piece: whole } })
}

async function away() {
  const gone = await send(async () => {
    await remove.mutateAsync(props.piece)
    return true
  })
  removing.value = false
  if (gone) await router.replace({ name: 'pieces' })
}

const moved = (id: string) => {
  if (id !== props.piece) void router.push({ name: 'piece', params: { piece: id } })
}
</script>

<template>
  <main class="page">
    <AsyncState
      :pending="life.isPending.value"
      :error="lacking(life)"
      :what="texts.thisMedia"
      @retry="life.refetch()"
    >
      <template v-if="now && life.data.value">
        <header class="titled">
          <h1>{{ now.name }}</h1>
          <StateTag :standing="standingOf(now)" :words="worthWords(now)" />
        </header>
        <p>
          {{ texts.of3(mass(now.grams), now.kindName, whereWords(now)) }}
          <template v-if="now.death">{{ now.death }}</template>
          <template v-if="whole">
            {{ texts.splitOff }}
            <RouterLink :to="{ name: 'piece', params: { piece: whole.id } }">{{ whole.name }}</RouterLink>
            {{ texts.on2(datedDay(now.since)) }}
          </template>
        </p>
        <LifeLine :piece="now" :curve="life.data.value.curve" />
        <div class="grid cols-[1_380px] gap-36px max-half:cols-1">
          <section aria-labelledby="been">
            <h2 id="been">{{ texts.whereItHasBeen }}</h2>
            <ol class="list-none">
              <li v-for="stay in now.stays.toReversed()" :key="stay.from + stay.spot" class="py-1">
                {{ stayWords(stay) }}
              </li>
            </ol>
            <p v-if="now.lastMove.why" class="small">
              <b>{{ texts.doneAnyway }}</b> {{ now.lastMove.why }}
            </p>
            <p v-if="parts.length">
              {{ texts.splitOffIt }}
              <template v-for="(one, i) in parts" :key="one.id"
                ><template v-if="i">, </template
                ><RouterLink :to="{ name: 'piece', params: { piece: one.id } }">{{ one.name }}</RouterLink>
              </template>
            </p>
            <div class="flex flex-wrap gap-2 items-center">
              <LinkButton type="primary" text :to="{ name: 'pieces' }">{{ texts.allMedia }}</LinkButton>
              <PieceName v-if="mayWork" :piece="now" />
              <el-button v-if="mayTakeBack" type="primary" text @click="back">{{
                texts.takeTheLastMove
              }}</el-button>
              <el-button v-else-if="mayWork" type="primary" text @click="removing = true">{{
                texts.takeItOffRecord
              }}</el-button>
            </div>
            <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
          </section>
          <MovePiece v-if="mayWork && now.state !== 'GONE'" :key="now.id" :piece="now" @moved="moved" />
        </div>
        <el-dialog v-model="removing" :title="texts.takeItOffRecord2" width="min(420px, 92vw)" append-to-body>
          <p>{{ texts.forAPieceThat }}</p>
          <template #footer>
            <el-button type="primary" text @click="removing = false">{{ texts.keepIt }}</el-button>
            <el-button type="primary" @click="away">{{ texts.takeItOffRecord }}</el-button>
          </template>
        </el-dialog>
      </template>
    </AsyncState>
  </main>
</template>
