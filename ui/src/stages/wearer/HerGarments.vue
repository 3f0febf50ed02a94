<script setup lang="ts">
import { computed, ref } from 'vue'
import type { LevelName, Word } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { LEVEL_LABELS, length, SAT, withUnit } from '../../parts/words'

// Garments of hers that fit: what they measure inside as she wears them, and how they sit, tell of her body.
const openBuild = useOpenBuild()
const settings = useSettings()
const garments = computed(() => openBuild.build.garments)
const levels = computed(() => openBuild.kind.levels)
const shown = ref(false)
const name = ref('')
const girths = ref<Record<string, string | undefined>>({})
const words = ref<Record<string, Word | undefined>>({})
const at = computed(() => `garments.${garments.value.length}`)
const told = computed(() => levels.value.filter((level) => girths.value[level]?.trim()))
const said = (level: string) => {
  const k = told.value.indexOf(level as LevelName)
  return k < 0 ? undefined : openBuild.errors[`${at.value}.levels.${k}.girth_mm`]
}
const whole = computed(() => openBuild.errors[at.value] ?? openBuild.errors[`${at.value}.name`])
const listed = (one: (typeof garments.value)[number]) =>
  one.levels
    .map(
      (level) => `${LEVEL_LABELS[level.level].toLowerCase()} ${length(level.girth_mm, settings.unit)}, ${level.word}`,
    )
    .join('; ')
async function keep() {
  const given = {
    name: name.value,
    levels: told.value.map((level) => ({
      level,
      girth_mm: withUnit(girths.value[level] ?? '', settings.unit),
      word: words.value[level] ?? 'right',
    })),
  }
  if (!(await openBuild.set(at.value, given))) return
  name.value = ''
  girths.value = {}
  words.value = {}
  shown.value = false
}
const drop = (i: number) =>
  openBuild.set(
    'garments',
    garments.value.filter((_, k) => k !== i),
  )
</script>

<template>
  <section class="hers" aria-label="Garments of hers that fit">
    <h2>Garments of hers that fit</h2>
    <p v-for="(one, i) in garments" :key="i">
      <b>{{ one.name || `Garment ${i + 1}` }}</b>: {{ listed(one) }}.
      <button type="button" :aria-label="`Take out garment ${i + 1}`" @click="drop(i)">×</button>
    </p>
    <button v-if="!shown" type="button" class="ask" @click="shown = true">+ one that she wears</button>
    <form v-else class="asked" aria-label="A garment of hers" @submit.prevent="keep">
      <label class="which"><span>which</span> <input v-model="name" aria-label="Which garment" /></label>
      <p class="soft small">Its girth inside as she wears it, the gap of its lacing and all, and how it sits there.</p>
      <template v-for="level in levels" :key="level">
        <div class="row">
          <span>{{ LEVEL_LABELS[level] }}</span>
          <span
            ><input
              v-model="girths[level]"
              class="in"
              :aria-label="`${LEVEL_LABELS[level]}, girth of the garment`"
              :aria-invalid="!!said(level)"
              autocomplete="off"
            />
            {{ settings.unit }}</span
          >
          <select v-model="words[level]" :aria-label="`${LEVEL_LABELS[level]}, how it sits`">
            <option :value="undefined">right</option>
            <option v-for="one in SAT.filter((sat) => sat.word !== 'right')" :key="one.word" :value="one.word">
              {{ one.word }}
            </option>
          </select>
        </div>
        <p v-if="said(level)" class="bad" role="alert">{{ said(level) }}</p>
      </template>
      <p v-if="whole" class="bad" role="alert">{{ whole }}</p>
      <p>
        <v-btn size="small" type="submit" variant="outlined" :disabled="!told.length">Keep it</v-btn>
        <v-btn size="small" variant="text" @click="shown = false">Leave it</v-btn>
      </p>
    </form>
  </section>
</template>

<style scoped>
.hers {
  margin-top: 18px;
  max-width: 620px;
}
h2,
p {
  margin: 4px 0;
}
.row {
  display: grid;
  grid-template-columns: 140px 150px 140px;
  gap: 10px;
  align-items: center;
  margin: 4px 0;
}
.row input {
  width: 84px;
}
.which {
  display: flex;
  gap: 10px;
  align-items: center;
}
</style>
