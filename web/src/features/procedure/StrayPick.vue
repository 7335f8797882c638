<script setup lang="ts">
import { computed } from 'vue'
import ChoiceRow from '@/shared/components/ChoiceRow.vue'

/** Whether media was in the pump, and where it came from. */
const props = defineProps<{ stray?: string; places: string[] }>()
const emit = defineEmits<{ say: [place: string] }>()

/** What the server has where nobody could tell. */
const UNKNOWN = 'UNKNOWN'
const choices = computed(() => [
  { value: '', label: 'No' },
  ...props.places.map((place) => ({ value: place, label: `Yes, from the ${place}` })),
  { value: UNKNOWN, label: 'Yes, nobody can tell where from' },
])
const said = computed({
  get: () => props.stray ?? '-',
  set: (place) => emit('say', place),
})
</script>

<template>
  <ChoiceRow v-model="said" legend="Was media in the pump?" name="stray" :choices="choices" />
</template>
