<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useRights } from '@/features/account'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import NewPiece from './NewPiece.vue'
import PieceLine from './PieceLine.vue'
import QuarantineTanks from './QuarantineTanks.vue'
import { usePieces } from './queries'
import { GONE, grouped } from './words'

/** At the table: every bag, foam and basket, where it is and whether it is ripe. */
const pieces = usePieces()
const { mayWork } = useRights()
const groups = computed(() => grouped(pieces.data.value ?? []))
</script>

<template>
  <main class="page">
    <header class="titled">
      <h1>{{ texts.media }}</h1>
    </header>
    <AsyncState
      :pending="pieces.isPending.value"
      :error="lacking(pieces)"
      :what="texts.theMedia"
      @retry="pieces.refetch()"
    >
      <div class="grid cols-[1_380px] gap-36px max-half:cols-1">
        <div>
          <p v-if="groups.length === 0" class="empty">
            {{ texts.nothingOnRecordYet }}
          </p>
          <template v-for="group in groups" :key="group.title">
            <details v-if="group.title === GONE.label">
              <summary class="min-h-touch flex items-center cursor-pointer">
                {{ texts.thrownAway(group.pieces.length) }}
              </summary>
              <ul>
                <PieceLine v-for="piece in group.pieces" :key="piece.id" :piece="piece" />
              </ul>
            </details>
            <section v-else class="mt-3" :aria-label="group.title">
              <h2>{{ group.title }}</h2>
              <ul>
                <PieceLine v-for="piece in group.pieces" :key="piece.id" :piece="piece" />
              </ul>
            </section>
          </template>
        </div>
        <div v-if="mayWork">
          <NewPiece class="mt-3" />
          <QuarantineTanks class="mt-3" />
        </div>
      </div>
    </AsyncState>
  </main>
</template>
