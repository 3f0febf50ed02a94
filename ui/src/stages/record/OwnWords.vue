<script setup lang="ts">
import { computed, ref } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'

// Short things that she writes of a garment, one by one: what she likes, what she would change.
const props = defineProps<{ at: 'likes' | 'would_change'; title: string; label: string }>()
const openBuild = useOpenBuild()
const text = ref('')
const said = computed(() => openBuild.build.record[props.at])
async function add() {
  const one = text.value.trim()
  if (one && (await openBuild.set(`record.${props.at}`, [...said.value, one]))) text.value = ''
}
const takeOut = (i: number) =>
  openBuild.set(
    `record.${props.at}`,
    said.value.filter((_, k) => k !== i),
  )
</script>

<template>
  <section :aria-label="title">
    <h2>{{ title }}</h2>
    <ul>
      <li v-for="(one, i) in said" :key="i">
        {{ one }}
        <button type="button" class="ask" :aria-label="`take out: ${one}`" @click="takeOut(i)">take out</button>
      </li>
    </ul>
    <form class="one" @submit.prevent="add">
      <v-text-field v-model="text" :label="label" maxlength="300" />
      <v-btn type="submit" size="small" variant="outlined" :disabled="!text.trim()">Add</v-btn>
    </form>
  </section>
</template>

<style scoped>
h2 {
  margin: 12px 0 4px;
}
ul {
  padding-left: 18px;
  margin: 4px 0;
}
.one {
  display: flex;
  gap: 8px;
  align-items: center;
}
</style>
