<script setup lang="ts">
import { texts } from './texts'
import { computed, ref } from 'vue'
import TextField from '@/shared/components/TextField.vue'
import { wordsOf } from '@/shared/problem'
import { useAddPhoto, useDeletePhoto, usePhotos, type Photo, type PhotosOf } from './photos'

/**
 * Photos before and after a service, or of how a filter is built: taken or chosen, made smaller in the browser, shown side by
 * side.
 */
const props = defineProps<{
  of: PhotosOf
  /** Neither added to nor deleted from. */
  shownOnly?: boolean
}>()

const photos = usePhotos(() => props.of)
const add = useAddPhoto()
const remove = useDeletePhoto()
const trouble = ref('')

const caption = ref('')
const ofFilter = computed(() => 'filter' in props.of)
const moments = computed<{ value: Photo['moment']; label: string }[]>(() =>
  ofFilter.value
    ? [{ value: 'BUILT', label: texts.addAPhoto }]
    : [
        { value: 'BEFORE', label: texts.photoBefore },
        { value: 'AFTER', label: texts.photoAfter },
      ],
)
const MOMENT: Record<Photo['moment'], string> = { BEFORE: 'Before', AFTER: 'After', BUILT: texts.asBuilt }
const words = (photo: Photo) => photo.caption || `${MOMENT[photo.moment]}, ${photo.takenBy}`

async function drop(photo: Photo) {
  const sure = await ElMessageBox.confirm(texts.itCannotBeBrought, texts.deleteThePhoto(words(photo)), {
    confirmButtonText: texts.delete,
    cancelButtonText: texts.keep,
  }).catch(() => undefined)
  if (sure) await remove.mutateAsync(photo.id).catch((failure: unknown) => (trouble.value = wordsOf(failure)))
}

async function take(moment: Photo['moment'], file?: File) {
  trouble.value = ''
  if (file) {
    await add
      .mutateAsync({ of: props.of, moment, caption: caption.value, file })
      .then(() => (caption.value = ''))
      .catch((failure: unknown) => (trouble.value = wordsOf(failure)))
  }
}
</script>

<template>
  <section
    v-if="!shownOnly || photos.data.value?.length"
    class="photos flex flex-wrap gap-10px items-end mt-3"
    :aria-label="ofFilter ? texts.asItIsBuilt : texts.photos"
  >
    <figure v-for="photo in photos.data.value" :key="photo.id" class="m-0">
      <a :href="`/api/photos/${photo.id}`" target="_blank" rel="noopener"
        ><img
          class="block w-120px h-90px rounded object-cover"
          :src="`/api/photos/${photo.id}`"
          :alt="words(photo)"
      /></a>
      <figcaption class="small">
        {{ words(photo) }}
        <el-button
          v-if="!shownOnly"
          type="primary"
          text
          :aria-label="texts.deletePhoto(words(photo))"
          @click="drop(photo)"
        >
          ×
        </el-button>
      </figcaption>
    </figure>
    <TextField
      v-if="ofFilter && !shownOnly"
      v-model="caption"
      :label="texts.whatDoesItShow"
      name="caption"
      :hint="texts.suchAsHoseBlock"
      @keydown.enter.prevent
    />
    <el-upload
      v-for="moment in shownOnly ? [] : moments"
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
