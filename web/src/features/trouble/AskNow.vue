<script setup lang="ts">
import { computed } from 'vue'
import LinkButton from '@/shared/components/LinkButton.vue'
import GlyphPicture from './GlyphPicture.vue'
import { answersOf, DONT_KNOW, type Answer, type Known, type Peril, type Question } from './network'
import { onwardOf } from './onward'
import { glyphOf } from './pictures'
import { effortWords } from './words'

/** One question, large, with drawn answers for a wet thumb; its caution stands above them. */
const props = defineProps<{
  /** A look, a try or a question; or a danger that is asked about first. */
  question?: Question
  peril?: Peril
  known: Known
  tank: number
  /** What it tells apart; empty if nothing in particular. */
  tells?: string
  /** The answer so far, where it is looked at again. */
  given?: string
}>()
const emit = defineEmits<{ answer: [answer: string] }>()

const answers = (): Answer[] =>
  props.question ? answersOf(props.question, props.known) : (props.peril?.answers ?? [])
const id = () => props.question?.id ?? props.peril?.id ?? ''
const onward = computed(() => onwardOf(id()))
</script>

<template>
  <section aria-live="polite">
    <p v-if="question" class="small quiet">{{ effortWords(question, known.kind) }}</p>
    <p v-else class="danger small">Safety first</p>
    <h2>{{ question?.ask ?? peril?.ask }}</h2>
    <p v-if="question?.caution" class="caution">{{ question.caution }}</p>
    <div class="answers">
      <el-button
        v-for="answer in answers()"
        :key="answer.id"
        class="answer"
        :type="answer.id === given ? 'primary' : undefined"
        :plain="answer.id === given"
        @click="emit('answer', answer.id)"
      >
        <span class="inside">
          <GlyphPicture :glyph="glyphOf(id(), answer.id)" /><span>{{ answer.words }}</span>
        </span>
      </el-button>
      <el-button v-if="question" class="answer" @click="emit('answer', DONT_KNOW)">
        <span class="inside"><GlyphPicture glyph="unknown" /><span>Don’t know</span></span>
      </el-button>
    </div>
    <p v-if="tells" class="quiet tells">{{ tells }}</p>
    <LinkButton v-if="onward" :to="onward.to(tank)">{{ onward.label }}</LinkButton>
  </section>
</template>

<style scoped>
h2 {
  margin: 2px 0 12px;
  font-size: 28px;
  font-weight: 620;
  line-height: 1.22;
  letter-spacing: -0.01em;
}

.caution {
  margin: 2px 0 14px;
  padding: 2px 0 2px 12px;
  border-left: 4px solid var(--brick);
  font-size: 17px;
}

.danger {
  color: var(--brick);
  font-weight: 680;
}

.answers {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(220px, 1fr));
  gap: 10px;
}

.answer {
  justify-content: flex-start;
  min-height: 68px;
  font-size: 18px;
  text-align: left;
}

.inside {
  display: flex;
  gap: 14px;
  align-items: center;
}

.tells {
  margin-top: 14px;
}

@media (width <= 640px) {
  h2 {
    font-size: 23px;
  }

  .answers {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
