import { defineAsyncComponent } from 'vue'
import { tell } from './measures'

export { sumAt } from './handoff'
export { litresAMmOf } from './prefill'
export { useAnswer, useKept } from './queries'
export { choiceFor } from './words'

/** A volume and a dose as sums tell them. */
export const tellLitres = (litres: number) => tell('LITRES', litres)
export const tellDose = (millilitres: number) => tell('MILLILITRES', millilitres)

/** Loaded where a tank is read. */
export const FilterFacts = defineAsyncComponent(() => import('./FilterFacts.vue'))
export const MediaFact = defineAsyncComponent(() => import('./MediaFact.vue'))
