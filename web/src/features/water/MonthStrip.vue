<script setup lang="ts">
import { texts } from './texts'
import { LineChart, ScatterChart } from 'echarts/charts'
import { GridComponent, MarkAreaComponent, TooltipComponent } from 'echarts/components'
import { use } from 'echarts/core'
import { CanvasRenderer } from 'echarts/renderers'
import { computed } from 'vue'
import VChart from 'vue-echarts'
import { usePreferences } from '@/shared/preferences'
import type { Series } from './queries'
import { hatchOf, stripHeight, stripOption } from './strip'
import { useUnits } from './units'

/** A tank's readings as lines on one axis of days, with services, water changes and holds. */
const props = defineProps<{ series: Series }>()

use([LineChart, ScatterChart, GridComponent, MarkAreaComponent, TooltipComponent, CanvasRenderer])

const preferences = usePreferences()
const { units } = useUnits()

const option = computed(() => {
  void preferences.theme // the tokens change with it
  const style = getComputedStyle(document.documentElement)
  const colour = (token: string) => style.getPropertyValue(token).trim()
  return stripOption(props.series, units.value, colour, hatchOf(colour))
})
const height = computed(() => `${String(stripHeight(props.series.lines.length))}px`)
const summary = computed(() =>
  texts.linesOfTheTable(props.series.lines.map((line) => line.parameter.label).join(', ')),
)
</script>

<template>
  <div :style="{ height }" role="img" :aria-label="summary">
    <VChart :option="option" :update-options="{ notMerge: true }" autoresize />
  </div>
</template>
