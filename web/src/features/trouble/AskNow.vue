<script setup lang="ts">
import { texts } from './texts'
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
    <p v-else class="small text-brick font-680">{{ texts.safetyFirst }}</p>
    <h2 class="mt-2px mb-12px text-28px font-620 leading-1.22 tracking--0.01em max-phone:text-23px">
      {{ question?.ask ?? peril?.ask }}
    </h2>
    <p v-if="question?.caution" class="caution mt-2px mb-3 py-2px pl-12px edge-l-4-brick text-17px">
      {{ question.caution }}
    </p>
    <div class="grid cols-[repeat(auto-fill,minmax(220px,1fr))] gap-10px max-phone:cols-1">
      <el-button
        v-for="answer in answers()"
        :key="answer.id"
        class="answer justify-start min-h-68px text-18px text-left"
        :type="answer.id === given ? 'primary' : undefined"
        :plain="answer.id === given"
        @click="emit('answer', answer.id)"
      >
        <span class="flex gap-3 items-center">
          <GlyphPicture :glyph="glyphOf(id(), answer.id)" /><span>{{ answer.words }}</span>
        </span>
      </el-button>
      <el-button
        v-if="question"
        class="answer justify-start min-h-68px text-18px text-left"
        @click="emit('answer', DONT_KNOW)"
      >
        <span class="flex gap-3 items-center"
          ><GlyphPicture glyph="unknown" /><span>{{ texts.dontKnow }}</span></span
        >
      </el-button>
    </div>
    <p v-if="tells" class="quiet mt-3">{{ tells }}</p>
    <LinkButton v-if="onward" :to="onward.to(tank)">{{ onward.label }}</LinkButton>
  </section>
</template>
