<script setup lang="ts">
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
  <fieldset class="pick" @keydown="byKey">
    <legend>How did the {{ props.what }} look when it came out?</legend>
    <div class="tiles">
      <label v-for="(grade, i) in FINDINGS" :key="grade.value" :class="{ on: grade.value === finding }">
        <input v-model="finding" type="radio" :name="name" :value="grade.value" />
        <FindingTile :finding="grade.value" :size="84" aria-hidden="true" />
        <span class="grade"
          ><span>{{ i + 1 }}</span> {{ grade.label }}</span
        >
        <span class="hint">{{ props.grades?.[i] ?? grade.hint }}</span>
      </label>
    </div>
    <el-button v-if="finding" type="primary" text class="unseen" @click="finding = undefined">
      Nobody looked
    </el-button>
  </fieldset>
</template>

<style scoped>
.pick {
  padding: 8px 0 10px 8px;
}

legend {
  margin-bottom: 6px;
  font-weight: 600;
}

.tiles {
  display: grid;
  grid-template-columns: repeat(5, minmax(0, 112px));
  gap: 8px;
}

label {
  display: flex;
  flex-direction: column;
  align-items: flex-start;
  line-height: 1.2;
  cursor: pointer;
}

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

input {
  position: absolute;
  opacity: 0;
  width: 1px;
}

.grade {
  margin-top: 6px;
  font-weight: 640;
  white-space: nowrap;
}

.hint,
.unseen {
  font-size: 14px;
}

@media (width <= 640px) {
  .tiles {
    gap: 5px;
  }

  .grade {
    font-size: 13px;
  }

  .grade span {
    display: block;
  }

  .hint {
    font-size: 12px;
  }
}
</style>
