<script setup lang="ts">
import { texts } from './texts'
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkLineComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import type { Day } from '@/shared/dates'
import { usePreferences } from '@/shared/preferences'
import type { Chapter } from './queries'
import { storyOption } from './story'

/** The interval as it was believed at each event, with the runs and what was found. */
const props = defineProps<{ chapters: Chapter[]; today: Day }>()

use([LineChart, ScatterChart, GridComponent, MarkLineComponent, TooltipComponent, CanvasRenderer])

const preferences = usePreferences()
const option = computed(() => {
  void preferences.theme // the tokens change with it
  const style = getComputedStyle(document.documentElement)
  return storyOption(props.chapters, props.today, (token) => style.getPropertyValue(token).trim())
})
</script>

<template>
  <div class="h-300px" role="img" :aria-label="texts.theIntervalOverTime">
    <VChart :option="option" :update-options="{ notMerge: true }" autoresize />
  </div>
</template>
