<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import { shortDay } from '@/shared/dates'
import { inOurUnits } from '@/shared/units'
import type { Hold } from './queries'

/** A reason to leave the bacteria alone: why, what clears it, and when that may be. */
const props = defineProps<{ hold: Hold }>()

/** Where the day is certain, what clears it says so. */
const likely = computed(() =>
  ['AMMONIA', 'NITRITE'].includes(props.hold.cause) && props.hold.likelyUntil
    ? texts.likelyClearAtThe(shortDay(props.hold.likelyUntil))
    : '',
)
</script>

<template>
  <p class="hold note-plum" role="note">
    <b class="mr-1 text-plum"><span aria-hidden="true">▨</span> {{ texts.hold }}</b>
    {{ inOurUnits(hold.reason) }}
    {{ hold.clears }}
    {{ likely }}
  </p>
</template>
