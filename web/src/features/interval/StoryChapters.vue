<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import FindingTile from '@/shared/components/FindingTile.vue'
import { shortDay } from '@/shared/dates'
import type { Chapter } from './queries'

/** What happened, latest first, and what it made of the interval. */
const props = defineProps<{ chapters: Chapter[] }>()

const told = computed(() =>
  props.chapters.map((chapter, i) => ({ chapter, before: props.chapters[i - 1]?.idealDays })).toReversed(),
)
const MOST = 12
const all = ref(false)
const shown = computed(() => (all.value ? told.value : told.value.slice(0, MOST)))
const detail = (chapter: Chapter) =>
  [
    chapter.seen ?? '',
    chapter.ranDays === undefined ? '' : texts.ranDays2(chapter.ranDays),
    chapter.plannedDays === undefined ? '' : texts.planned(chapter.plannedDays),
    chapter.flowPercent === undefined ? '' : texts.flowOfClean2(chapter.flowPercent.toFixed(0)),
  ]
    .filter(Boolean)
    .join(', ')
</script>

<template>
  <ol class="chapters">
    <li v-for="{ chapter, before } in shown" :key="`${chapter.on} ${chapter.event}`">
      <span class="quiet">{{ shortDay(chapter.on) }}</span>
      <span class="what flex gap-10px items-center leading-1.25">
        <FindingTile v-if="chapter.finding" :finding="chapter.finding" :seen="chapter.seen" :size="26" />
        <span>
          <b>{{ chapter.title }}</b>
          <span v-if="detail(chapter)" class="small quiet block">{{ detail(chapter) }}</span>
        </span>
      </span>
      <span class="num interval">
        <template v-if="before !== undefined && before !== chapter.idealDays">
          <span class="quiet">{{ before }}</span> → </template
        ><b>{{ chapter.idealDays }}</b> {{ texts.days2 }}
      </span>
      <span class="small quiet why leading-1.3 max-tablet:col-span-full">{{
        chapter.reasons.join(' ')
      }}</span>
    </li>
  </ol>
  <el-button v-if="!all && told.length > MOST" type="primary" text @click="all = true">
    {{ texts.showAll(told.length) }}
  </el-button>
</template>

<style scoped>
li {
  display: grid;
  grid-template-columns: 84px minmax(180px, 3fr) 140px minmax(220px, 6fr);
  gap: 4px 16px;
  align-items: center;
  min-height: 48px;
  padding: 6px 0;
  border-bottom: 1px solid var(--hair);
}

@media (width <= 760px) {
  li {
    grid-template-columns: 72px 1fr auto;
  }
}
</style>
