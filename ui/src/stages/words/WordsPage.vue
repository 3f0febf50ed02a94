<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { useRoute } from 'vue-router'
import { GROUPS } from './words'

// The trade's words, each with a drawing.
const route = useRoute()
const sought = ref(String(route.query.find ?? ''))
watch(
  () => route.query.find,
  (now) => (sought.value = String(now ?? '')),
)
const shown = computed(() => {
  const words = sought.value.trim().toLowerCase()
  return GROUPS.map((group) => ({
    ...group,
    words: group.words.filter((word) => `${word.word} ${word.means}`.toLowerCase().includes(words)),
  })).filter((group) => group.words.length)
})
</script>

<template>
  <article class="words">
    <div class="head">
      <h1>Words of the trade</h1>
      <v-text-field v-model="sought" label="A word" hide-details clearable class="sought" />
    </div>
    <p v-if="!shown.length" class="soft">No such word is here.</p>
    <section v-for="group in shown" :key="group.title" :aria-label="group.title">
      <h2>{{ group.title }}</h2>
      <dl>
        <div v-for="word in group.words" :key="word.word">
          <!-- eslint-disable-next-line vue/no-v-html -- our own drawings -->
          <svg viewBox="0 0 96 72" aria-hidden="true" v-html="word.drawn" />
          <dt>{{ word.word }}</dt>
          <dd>{{ word.means }}</dd>
        </div>
      </dl>
    </section>
  </article>
</template>

<style scoped>
.words {
  max-width: 1120px;
  margin: 0 auto;
  padding: 26px 28px 60px;
}
.head {
  display: flex;
  flex-wrap: wrap;
  gap: 20px;
  align-items: center;
  justify-content: space-between;
}
.sought {
  max-width: 260px;
}
h2 {
  margin: 22px 0 8px;
  border-bottom: 1px solid var(--ink);
}
dl {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(300px, 1fr));
  gap: 14px 26px;
  margin: 0;
}
dl > div {
  display: grid;
  grid-template-columns: 96px minmax(0, 1fr);
  grid-template-rows: auto 1fr;
  column-gap: 14px;
}
svg {
  grid-row: 1 / 3;
  width: 96px;
  height: 72px;
}
dt {
  font-weight: 650;
}
dd {
  margin: 0;
  line-height: 1.3;
}
svg :deep(*) {
  fill: none;
  stroke: var(--steel);
  stroke-width: 1.3;
}
svg :deep(.c) {
  fill: var(--bench);
}
svg :deep(.s) {
  stroke-dasharray: 3 2.5;
}
svg :deep(.m) {
  fill: var(--line);
}
svg :deep(.h) {
  fill: var(--metal);
  stroke: var(--metal);
}
svg :deep(.hl) {
  stroke: var(--metal);
  stroke-width: 2.2;
}
svg :deep(.t) {
  stroke: var(--takein);
  stroke-width: 2;
}
svg :deep(.o) {
  stroke: var(--letout);
  stroke-width: 2;
}
@media (max-width: 599px) {
  .words {
    padding: 18px 14px 40px;
  }
  dl {
    grid-template-columns: minmax(0, 1fr);
  }
}
</style>
