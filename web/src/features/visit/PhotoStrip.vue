<script setup lang="ts">
import { ref } from 'vue'
import { wordsOf } from '@/shared/problem'
import { useAddPhoto, useDeletePhoto, usePhotos, type Photo } from './photos'

/** Photos before and after a service: taken or chosen, made smaller in the browser, shown side by side. */
const props = defineProps<{ service: string }>()

const photos = usePhotos(() => props.service)
const add = useAddPhoto()
const remove = useDeletePhoto()
const trouble = ref('')

const MOMENTS: { value: Photo['moment']; label: string }[] = [
  { value: 'BEFORE', label: 'Photo before' },
  { value: 'AFTER', label: 'Photo after' },
]
const words = (photo: Photo) => `${photo.moment === 'BEFORE' ? 'Before' : 'After'}, ${photo.takenBy}`

async function drop(photo: Photo) {
  const sure = await ElMessageBox.confirm('It cannot be brought back.', `Delete the photo ${words(photo)}?`, {
    confirmButtonText: 'Delete',
    cancelButtonText: 'Keep',
  }).catch(() => undefined)
  if (sure) await remove.mutateAsync(photo.id).catch((failure: unknown) => (trouble.value = wordsOf(failure)))
}

async function take(moment: Photo['moment'], file?: File) {
  trouble.value = ''
  if (file) {
    await add.mutateAsync({ service: props.service, moment, file }).catch((failure: unknown) => {
      trouble.value = wordsOf(failure)
    })
  }
}
</script>

<template>
  <section class="photos" aria-label="Photos">
    <figure v-for="photo in photos.data.value" :key="photo.id">
      <a :href="`/api/photos/${photo.id}`" target="_blank" rel="noopener"
        ><img :src="`/api/photos/${photo.id}`" :alt="words(photo)"
      /></a>
      <figcaption class="small">
        {{ words(photo) }}
        <el-button type="primary" text :aria-label="`Delete photo: ${words(photo)}`" @click="drop(photo)">
          ×
        </el-button>
      </figcaption>
    </figure>
    <el-upload
      v-for="moment in MOMENTS"
      :key="moment.value"
      accept="image/*"
      capture="environment"
      :show-file-list="false"
      :auto-upload="false"
      :disabled="add.isPending.value"
      @change="(file) => take(moment.value, file.raw)"
    >
      <el-button tag="span" :loading="add.isPending.value">{{ moment.label }}</el-button>
    </el-upload>
    <p v-if="trouble" class="trouble" role="alert">{{ trouble }}</p>
  </section>
</template>

<style scoped>
.photos {
  display: flex;
  flex-wrap: wrap;
  gap: 10px;
  align-items: end;
  margin-top: 14px;
}

figure {
  margin: 0;
}

img {
  display: block;
  width: 120px;
  height: 90px;
  border-radius: var(--round);
  object-fit: cover;
}
</style>
