<script setup lang="ts">
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
  <div v-if="rows.length" class="guard" role="region" aria-label="In progress">
    <p v-for="{ guided, off } in rows" :key="guided.id" :class="{ off }">
      <strong>{{ guided.place.filterName }}</strong> on {{ guided.place.tankName }}
      <span v-if="off">has been off for {{ off }}</span>
      <span v-else>is being serviced</span>
      <RouterLink v-if="!guided.finishedAt" :to="{ name: 'service', params: { service: guided.id } }"
        >Continue</RouterLink
      >
      <el-button v-else type="primary" text @click="confirm.mutate(guided.id)">
        It's running again
      </el-button>
    </p>
  </div>
</template>

<style scoped>
.guard p {
  display: flex;
  flex-wrap: wrap;
  gap: 4px 12px;
  align-items: center;
  min-height: 44px;
  padding: 4px 34px;
  background: var(--herb-soft);
}

.guard p.off {
  background: var(--brick-soft);
  color: var(--brick);
}

.guard a {
  align-content: center;
  min-height: 44px;
}

.off a,
.off .el-button {
  color: var(--brick);
  text-decoration: underline;
}

@media print {
  .guard {
    display: none;
  }
}
</style>
