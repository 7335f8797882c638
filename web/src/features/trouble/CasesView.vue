<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { BenchNav } from '@/features/bench'
import { useTanks } from '@/features/tank'
import { lacking } from '@/shared/asking'
import AsyncState from '@/shared/components/AsyncState.vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import CaseList from './CaseList.vue'
import CountedRates from './CountedRates.vue'
import { useCases } from './queries'

/** Both postures: what is being looked into, what was found before, and what that says of this site. */
const cases = useCases()
const tanks = useTanks()

const names = computed(() => new Map((tanks.data.value ?? []).map(({ id, tank }) => [id, tank.name])))
const going = computed(() =>
  (cases.data.value ?? []).filter(({ standing }) => standing === 'OPEN' || standing === 'STOPPED'),
)
const closed = computed(() =>
  (cases.data.value ?? []).filter(({ standing }) => standing === 'SOLVED' || standing === 'LEFT'),
)
</script>

<template>
  <main class="page">
    <BenchNav />
    <header class="flex gap-3 items-center justify-between">
      <h1>{{ texts.trouble }}</h1>
      <LinkButton type="primary" :to="{ name: 'start-case' }">{{ texts.somethingIsWrong }}</LinkButton>
    </header>
    <AsyncState
      :pending="cases.isPending.value"
      :error="lacking(cases)"
      :what="texts.theCases"
      @retry="cases.refetch()"
    >
      <p v-if="!cases.data.value?.length" class="quiet max-w-560px py-20px">
        {{ texts.weakFlowARattle }}
      </p>
      <div
        v-else
        class="sides grid cols-[7_minmax(280px,4fr)] gap-y-24px gap-x-48px items-start max-half:cols-1"
      >
        <div>
          <section v-if="going.length" aria-labelledby="going">
            <h2 id="going">{{ texts.beingLookedInto }}</h2>
            <CaseList :cases="going" :tanks="names" />
          </section>
          <section v-if="closed.length" aria-labelledby="closed">
            <h2 id="closed">{{ texts.closed }}</h2>
            <CaseList :cases="closed" :tanks="names" />
          </section>
        </div>
        <CountedRates />
      </div>
    </AsyncState>
  </main>
</template>
