<script setup lang="ts">
import { computed } from 'vue'
import AddPhoto from '../../parts/AddPhoto.vue'
import { useOpenBuild } from '../../stores/openBuild'

// The garment seen from in front, from the side and from behind; and what else she photographs of it.
type Photo = {
  id: string
  name?: string
  view?: 'front' | 'side' | 'back' | 'detail'
  width_px: number
  height_px: number
}
const openBuild = useOpenBuild()
const VIEWS = ['front', 'side', 'back', 'detail'] as const
const photos = computed<Photo[]>(() => openBuild.build.record.photos)
const shown = computed(() =>
  photos.value.map((photo, at) => ({ ...photo, at })).sort((a, b) => VIEWS.indexOf(a.view!) - VIEWS.indexOf(b.view!)),
)
const missing = computed(() =>
  VIEWS.filter((view) => view === 'detail' || !photos.value.some((photo) => photo.view === view)),
)
const add = (view: Photo['view'], photo: Omit<Photo, 'view'>) =>
  openBuild.set('record.photos', [...photos.value, { ...photo, view }])
const takeOut = (at: number) =>
  openBuild.set(
    'record.photos',
    photos.value.filter((_, i) => i !== at),
  )
</script>

<template>
  <section aria-label="Photos" class="photos">
    <div v-if="shown.length" class="row">
      <figure v-for="one in shown" :key="one.at">
        <img :src="`/api/pictures/${one.id}`" :alt="`${openBuild.build.brief.name}, ${one.view}`" />
        <figcaption>
          {{ one.view }}
          <button type="button" class="ask" :aria-label="`take out the photo: ${one.view}`" @click="takeOut(one.at)">
            take out
          </button>
        </figcaption>
      </figure>
    </div>
    <p class="adds">
      <span class="soft">{{ shown.length ? 'Another photo:' : 'Photos:' }}</span>
      <AddPhoto v-for="view in missing" :key="view" :label="`${view} …`" @take="(photo) => add(view, photo)" />
    </p>
  </section>
</template>

<style scoped>
.row {
  display: flex;
  gap: 12px;
  overflow-x: auto;
}
figure {
  margin: 0;
}
img {
  height: 210px;
  max-width: 260px;
  object-fit: contain;
  display: block;
  border: 1px solid var(--line);
}
figcaption {
  color: var(--steel);
}
.adds {
  display: flex;
  gap: 14px;
  flex-wrap: wrap;
  margin: 4px 0;
}
</style>
