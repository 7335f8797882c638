<script setup lang="ts">
import { texts } from './texts'
import { ref } from 'vue'
import TextField from '@/shared/components/TextField.vue'
import { useSending } from '@/shared/form'
import { useRenamePiece } from './queries'
import type { Piece } from './words'

/** Calls a piece something else. */
const props = defineProps<{ piece: Piece }>()

const rename = useRenamePiece()
const { sending, errors, trouble, send } = useSending()
const open = ref(false)
const name = ref('')

function begin() {
  name.value = props.piece.name
  open.value = true
}

async function save() {
  if (await send(() => rename.mutateAsync({ id: props.piece.id, name: name.value }))) open.value = false
}
</script>

<template>
  <el-button type="primary" text @click="begin">{{ texts.rename }}</el-button>
  <el-dialog v-model="open" :title="texts.whatDoYouCall" width="min(420px, 92vw)" append-to-body>
    <form novalidate @submit.prevent="save">
      <TextField v-model="name" :label="texts.name" name="name" :error="errors.name" />
      <p v-if="trouble && !Object.keys(errors).length" class="trouble" role="alert">{{ trouble }}</p>
    </form>
    <template #footer>
      <el-button type="primary" text @click="open = false">{{ texts.leaveIt }}</el-button>
      <el-button type="primary" :loading="sending" @click="save">{{ texts.rename }}</el-button>
    </template>
  </el-dialog>
</template>
