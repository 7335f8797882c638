<script setup lang="ts">
import { texts } from './texts'
import Sortable from 'sortablejs'
import { nextTick, onBeforeUnmount, onMounted, ref, useTemplateRef } from 'vue'
import SelectField from '@/shared/components/SelectField.vue'
import { labelOf, STAGE_KIND, type StageKind } from '@/shared/words'
import { stageOf, type StageForm } from './form'
import MoveButtons from './MoveButtons.vue'
import StageDetails from './StageDetails.vue'

/** The stages of a water path: add, remove, reorder by drag or by the arrow buttons. */
defineProps<{ errors: Record<string, string> }>()
const stages = defineModel<StageForm[]>({ required: true })

const list = useTemplateRef<HTMLOListElement>('list')
const adding = ref<StageKind>()
const said = ref('')
const open = ref<number>()
const DISPOSABLE: StageKind[] = ['FINE_PAD', 'FLOSS', 'UV_LAMP', 'CARBON', 'FLEECE_ROLL', 'PHOSPHATE_REMOVER']

const nameOf = (stage: StageForm) => stage.label || labelOf(STAGE_KIND, stage.kind)

function move(from: number, to: number) {
  const moved = stages.value[from]
  if (!moved || to < 0 || to >= stages.value.length) return
  const rest = stages.value.filter((_, i) => i !== from)
  stages.value = [...rest.slice(0, to), moved, ...rest.slice(to)]
  said.value = texts.isNowStageOf(nameOf(moved), to + 1, stages.value.length)
}

/** The button moves with its stage, so the focus must too. */
async function moveByKey(from: number, by: number) {
  const to = from + by
  move(from, to)
  await nextTick()
  list.value?.querySelectorAll<HTMLElement>(`li [data-move="${String(by)}"]`)[to]?.focus()
}

function add() {
  if (!adding.value) return
  const stage = stageOf(adding.value, DISPOSABLE.includes(adding.value) ? 'DISPOSABLE' : 'WASHABLE')
  stages.value = [...stages.value, stage]
  said.value = texts.addedAsTheLast(nameOf(stage))
  adding.value = undefined
}

function remove(stage: StageForm) {
  stages.value = stages.value.filter((one) => one.key !== stage.key)
  said.value = texts.removed(nameOf(stage))
}

let sortable: Sortable | undefined
onMounted(() => {
  if (!list.value) return
  sortable = Sortable.create(list.value, {
    handle: '.grip',
    animation: 120,
    onEnd({ oldIndex, newIndex, item, from }) {
      if (oldIndex === undefined || newIndex === undefined) return
      // Vue owns the list: put the element back and move the stage instead.
      from.insertBefore(item, from.children[oldIndex + (oldIndex < newIndex ? 0 : 1)] ?? null)
      move(oldIndex, newIndex)
    },
  })
})
onBeforeUnmount(() => sortable?.destroy())
</script>

<template>
  <div>
    <ol ref="list" class="path">
      <li v-for="(stage, i) in stages" :key="stage.key" class="edge-b-hair bg-ground">
        <div class="grid cols-[26px_22px_1fr_auto_44px_44px_44px] items-center min-h-44px">
          <span
            class="grip cursor-grab text-ink-quiet text-20px"
            aria-hidden="true"
            :title="texts.dragToReorder"
            >⠿</span
          >
          <span class="num quiet">{{ i + 1 }}</span>
          <el-button
            type="primary"
            text
            class="name justify-start text-ink font-560"
            :aria-expanded="open === stage.key"
            @click="open = open === stage.key ? undefined : stage.key"
          >
            {{ nameOf(stage) }}
          </el-button>
          <span class="quiet small">{{
            stage.make === 'WASHABLE' ? texts.washable2 : texts.disposable2
          }}</span>
          <MoveButtons
            :what="nameOf(stage)"
            :first="i === 0"
            :last="i === stages.length - 1"
            @move="(by) => moveByKey(i, by)"
          />
          <el-button
            type="primary"
            text
            class="p-0 text-18px"
            :aria-label="texts.remove2(nameOf(stage))"
            @click="remove(stage)"
          >
            ×
          </el-button>
        </div>
        <StageDetails
          v-if="open === stage.key || Object.keys(errors).some((field) => field.startsWith(`stages[${i}]`))"
          v-model="stages[i]!"
          :prefix="`stages[${i}]`"
          :errors="errors"
        />
      </li>
    </ol>
    <p v-if="errors.stages" class="error" role="alert">{{ errors.stages }}</p>
    <div class="add flex gap-2 mt-3">
      <SelectField
        v-model="adding"
        class="first:w-260px"
        :label="texts.stageToAdd"
        name="adding"
        :placeholder="texts.addAStage"
        :choices="STAGE_KIND"
        bare
      />
      <el-button class="first:w-260px" :disabled="!adding" @click="add">{{ texts.add }}</el-button>
    </div>
    <p class="seen-by-readers" role="status">{{ said }}</p>
  </div>
</template>
