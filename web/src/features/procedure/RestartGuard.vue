<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { useNow } from '@/shared/now'
import { spanWords } from './progress'
import { useConfirmRunning, useOpenGuided } from './queries'

/** At the top of every place: services in progress, and filters that are off until someone confirms that they run. */
const open = useOpenGuided()
const confirm = useConfirmRunning()
const now = useNow()

const rows = computed(() =>
  (open.data.value ?? []).map((guided) => ({
    guided,
    off: guided.offSince === undefined ? undefined : spanWords(now.value - Date.parse(guided.offSince)),
  })),
)
</script>

<template>
  <div v-if="rows.length" class="guard print:hidden" role="region" :aria-label="texts.inProgress">
    <p
      v-for="{ guided, off } in rows"
      :key="guided.id"
      class="flex flex-wrap gap-y-1 gap-x-12px items-center min-h-44px py-1 px-5 bg-herb-soft"
      :class="{ off }"
    >
      <strong>{{ guided.place.filterName }}</strong> {{ texts.on2(guided.place.tankName) }}
      <span v-if="off">{{ texts.hasBeenOffFor(off) }}</span>
      <span v-else>{{ texts.isBeingServiced }}</span>
      <RouterLink
        v-if="!guided.finishedAt"
        class="content-center min-h-44px"
        :to="{ name: 'service', params: { service: guided.id } }"
        >{{ texts.continue }}</RouterLink
      >
      <el-button v-else type="primary" text @click="confirm.mutate(guided.id)">
        {{ texts.itsRunningAgain }}
      </el-button>
    </p>
  </div>
</template>

<style scoped>
.guard p.off {
  background: var(--brick-soft);
  color: var(--brick);
}

.off a,
.off .el-button {
  color: var(--brick);
  text-decoration: underline;
}
</style>
