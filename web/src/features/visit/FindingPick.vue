<script setup lang="ts">
import { texts } from './texts'
import { useId } from 'vue'
import FindingTile from '@/shared/components/FindingTile.vue'
import { FINDINGS, type Finding } from '@/shared/words'

/** How a stage looked when it came out: five drawn tiles, keys 1 to 5 when one has the focus. */
const props = defineProps<{ what: string; grades?: string[] }>()
const finding = defineModel<Finding | undefined>({ required: true })
const name = useId()

function byKey(event: KeyboardEvent) {
  const picked = FINDINGS[Number(event.key) - 1]
  if (picked) finding.value = picked.value
}
</script>

<template>
  <fieldset class="pick pt-2 pb-10px pl-2" @keydown="byKey">
    <legend class="mb-6px font-600">{{ texts.howDidTheLook(props.what) }}</legend>
    <div class="grid cols-[repeat(5,minmax(0,112px))] gap-2 max-phone:gap-5px">
      <label
        v-for="(grade, i) in FINDINGS"
        :key="grade.value"
        class="flex flex-col items-start leading-1.2 cursor-pointer"
        :class="{ on: grade.value === finding }"
      >
        <input v-model="finding" class="absolute op-0 w-1px" type="radio" :name="name" :value="grade.value" />
        <FindingTile :finding="grade.value" :size="84" aria-hidden="true" />
        <span class="mt-6px font-640 whitespace-nowrap max-phone:text-13px"
          ><span class="max-phone:block">{{ i + 1 }}</span> {{ grade.label }}</span
        >
        <span class="text-14px max-phone:text-12px">{{ props.grades?.[i] ?? grade.hint }}</span>
      </label>
    </div>
    <el-button v-if="finding" type="primary" text class="unseen text-14px" @click="finding = undefined">
      {{ texts.nobodyLooked }}
    </el-button>
  </fieldset>
</template>

<style scoped>
label :deep(svg) {
  width: 100%;
  max-width: 84px;
  height: auto;
  border-radius: 9px;
}

.on :deep(svg) {
  outline: 4px solid var(--herb);
  outline-offset: 1px;
}

label:focus-within :deep(svg) {
  box-shadow: 0 0 0 8px var(--herb-soft);
}
</style>
