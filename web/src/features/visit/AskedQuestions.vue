<script setup lang="ts">
import { texts } from './texts'
import { ref } from 'vue'
import { wordsOf } from '@/shared/problem'
import { useAnswer, type AskedQuestion, type Saved } from './queries'

/** What surprised in a service, asked once, with answers in one tap. What was typed is kept meanwhile. */
const props = defineProps<{ service: string; questions: AskedQuestion[] }>()
const emit = defineEmits<{ answered: [saved: Saved] }>()

/** Questions behind which a fault may lie. */
const AT_FAULT = ['FLOW_UNEXPLAINED', 'FLOW_NOT_RESTORED']

const answering = useAnswer()
const trouble = ref('')

async function answer(question: AskedQuestion, given: string) {
  trouble.value = ''
  try {
    const { filterId, asked } = question
    emit('answered', await answering.mutateAsync({ service: props.service, filterId, asked, answer: given }))
  } catch (failure) {
    trouble.value = wordsOf(failure)
  }
}
</script>

<template>
  <section class="grid gap-3 py-3 px-18px my-3 edge-l-5-herb bg-herb-soft" :aria-label="texts.oneQuestion">
    <div v-for="question in questions" :key="`${question.filterId} ${question.asked}`">
      <p>
        <strong>{{ question.text }}</strong>
      </p>
      <div class="answers flex flex-wrap gap-2 mt-2">
        <el-button
          v-for="choice in question.choices"
          :key="choice.answer"
          size="large"
          :disabled="answering.isPending.value"
          @click="answer(question, choice.answer)"
          >{{ choice.words }}</el-button
        >
      </div>
      <p v-if="AT_FAULT.includes(question.asked)" class="mt-2">
        {{ texts.notSure }}
        <RouterLink :to="{ name: 'start-case', query: { filter: question.filterId } }">{{
          texts.findWhatIsWrong(question.filterName)
        }}</RouterLink>
      </p>
    </div>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.answers :deep(.el-button) {
  min-height: var(--touch);
  margin: 0;
}
</style>
