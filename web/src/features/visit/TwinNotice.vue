<script setup lang="ts">
import { texts } from './texts'
import { ref } from 'vue'
import { useRights } from '@/features/account'
import { wordsOf } from '@/shared/problem'
import { useMergeServices, type Saved, type Service } from './queries'
import { told } from './telling'

/** Somebody else logged the same task that day: one service may be made of the two. */
const props = defineProps<{ service: string; twins: Service[] }>()
const emit = defineEmits<{ merged: [saved: Saved] }>()

const { mayKeep } = useRights()
const merge = useMergeServices()
const trouble = ref('')

async function mergeWith(other: string) {
  trouble.value = ''
  try {
    emit('merged', await merge.mutateAsync({ service: props.service, other }))
  } catch (failure) {
    trouble.value = wordsOf(failure)
  }
}
</script>

<template>
  <div
    v-for="twin in twins"
    :key="twin.id"
    class="twin grid gap-2 justify-items-start mt-12px py-12px px-16px edge-l-5-amber bg-amber-soft"
    role="note"
  >
    <p>
      <strong>{{ texts.loggedTheSameThat(twin.doneBy) }}</strong> {{ told(twin) }}
    </p>
    <el-button v-if="mayKeep" :disabled="merge.isPending.value" @click="mergeWith(twin.id)">
      {{ texts.mergeTheTwo }}
    </el-button>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
  </div>
</template>
