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

async function take(moment: Photo['moment'], event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  trouble.value = ''
  if (file) {
    await add.mutateAsync({ service: props.service, moment, file }).catch((failure: unknown) => {
      trouble.value = wordsOf(failure)
    })
  }
  input.value = ''
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
        <button
          class="button plain"
          type="button"
          :aria-label="`Delete photo: ${words(photo)}`"
          @click="drop(photo)"
        >
          ×
        </button>
      </figcaption>
    </figure>
    <label v-for="moment in MOMENTS" :key="moment.value" class="button outlined add">
      {{ add.isPending.value ? 'Sending …' : moment.label }}
      <input
        type="file"
        accept="image/*"
        capture="environment"
        :disabled="add.isPending.value"
        @change="take(moment.value, $event)"
      />
    </label>
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

.add {
  position: relative;
  min-height: var(--touch);
}

.add:focus-within {
  outline: 3px solid var(--herb);
}

.add input {
  position: absolute;
  opacity: 0;
  width: 1px;
}

.trouble {
  color: var(--brick);
  font-weight: 600;
}
</style>
