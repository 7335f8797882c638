<script setup lang="ts">
import { texts } from './texts'
import { computed } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'

/** Whether media was in the pump, and where it came from. */
const props = defineProps<{ stray?: string; places: string[] }>()
const emit = defineEmits<{ say: [place: string] }>()

/** What the server has where nobody could tell. */
const UNKNOWN = 'UNKNOWN'
const choices = computed(() => [
  { value: '', label: texts.no },
  ...props.places.map((place) => ({ value: place, label: texts.yesFromThe(place) })),
  { value: UNKNOWN, label: texts.yesNobodyCanTell },
])
const said = computed({
  get: () => props.stray ?? '-',
  set: (place) => emit('say', place),
})
</script>

<template>
  <ChoiceRow v-model="said" :legend="texts.wasMediaInThe" name="stray" :choices="choices" />
</template>
