<script setup lang="ts">
import { ref } from 'vue'
import { wordsOf } from '@/shared/problem'
import { useAnswer, type AskedQuestion, type Saved } from './queries'

/** What surprised in a service, asked once, with answers in one tap. What was typed is kept meanwhile. */
const props = defineProps<{ service: string; questions: AskedQuestion[] }>()
const emit = defineEmits<{ answered: [saved: Saved] }>()

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
  <section class="asked" aria-label="One question">
    <div v-for="question in questions" :key="`${question.filterId} ${question.asked}`">
      <p>
        <strong>{{ question.text }}</strong>
      </p>
      <div class="answers">
        <el-button
          v-for="choice in question.choices"
          :key="choice.answer"
          size="large"
          :disabled="answering.isPending.value"
          @click="answer(question, choice.answer)"
          >{{ choice.words }}</el-button
        >
      </div>
    </div>
    <p v-if="trouble" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.asked {
  display: grid;
  gap: var(--gap-3);
  padding: 14px 18px;
  margin: var(--gap-3) 0;
  border-left: 5px solid var(--herb);
  background: var(--herb-soft);
}

.answers {
  display: flex;
  flex-wrap: wrap;
  gap: 8px;
  margin-top: 8px;
}

.answers :deep(.el-button) {
  min-height: var(--touch);
  margin: 0;
}
</style>
