<script setup lang="ts">
import { computed } from 'vue'
import LengthField from '../../parts/LengthField.vue'
import { SEEN_LABELS, length } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'

// Padding that she wears under it, or on her shoulders: where, how thick, and by how much it widens her there.
const openBuild = useOpenBuild()
const settings = useSettings()
const pads = computed(() => openBuild.build.pads)
const levels = computed(() => {
  const known = [...(openBuild.plan.body?.levels ?? [])].reverse().map((level) => level.name)
  const zero = openBuild.kind.tied ? 'neck_base' : 'waist'
  const names = [...(openBuild.kind.tied ? [] : (['shoulders'] as const)), ...known.filter((name) => name !== zero)]
  return names.map((name) => ({ value: name, title: SEEN_LABELS[name] }))
})
const PLACES = ['sides', 'front', 'back', 'all round']
const made = (level: string, place: string) =>
  openBuild.plan.pads.filter((pad) => pad.level === level && pad.place === place)
/** What was refused there; what is only worth knowing stands on the left. */
const refused = (at: string) => {
  const said = openBuild.saidAt(at)
  return said && ['error', 'stop'].includes(said.severity) ? said.text : undefined
}
const cloths = computed(() => settings.catalogue.cloths)
/** The next place that is not padded yet. */
const next = computed(() =>
  ['hip', 'high_hip', 'bust', ...levels.value.map((level) => level.value)].find(
    (name) => levels.value.some((level) => level.value === name) && !pads.value.some((pad) => pad.level === name),
  ),
)
const add = () =>
  openBuild.edit(
    [{ at: `pads.${pads.value.length}`, value: { level: next.value, place: 'sides', thick_mm: 15 } }],
    'Padding put on',
  )
const take = (i: number) =>
  openBuild.edit([{ at: 'pads', value: pads.value.filter((_, k) => k !== i) }], 'Padding taken off')
</script>

<template>
  <section v-if="levels.length" class="pads" aria-label="Padding">
    <h2>Padding</h2>
    <p v-if="!pads.length" class="soft small">None.</p>
    <div v-for="(pad, i) in pads" :key="`${pad.level} ${pad.place}`" class="pad" :data-pad="pad.level">
      <div class="row">
        <v-select
          label="Where"
          :model-value="pad.level"
          :items="levels"
          :error-messages="refused(`pads.${i}.level`)"
          @update:model-value="(value: string) => openBuild.set(`pads.${i}.level`, value)"
        />
        <v-select
          label="On which side"
          :model-value="pad.place ?? 'sides'"
          :items="PLACES"
          :error-messages="refused(`pads.${i}.place`)"
          @update:model-value="(value: string) => openBuild.set(`pads.${i}.place`, value)"
        />
      </div>
      <div class="row">
        <LengthField :at="`pads.${i}.thick_mm`" :mm="pad.thick_mm" label="How thick" hardware />
        <v-select
          label="Cloth"
          :model-value="pad.cloth ?? 'foam'"
          :items="cloths"
          item-title="label"
          item-value="name"
          :error-messages="refused(`pads.${i}.cloth`)"
          @update:model-value="(value: string) => openBuild.set(`pads.${i}.cloth`, value)"
        />
      </div>
      <p class="small">
        <template v-for="worn in made(pad.level, pad.place ?? 'sides')" :key="worn.level"
          ><template v-if="pad.level === 'shoulders'">Worn in the costume, not under this, </template
          ><template v-else
            >{{ length(worn.girth_mm, settings.unit) }} more round her
            {{ SEEN_LABELS[pad.level].toLowerCase() }}, </template
          >{{ worn.layers.length }} layers, {{ length(worn.wide_mm, settings.unit) }} wide.
        </template>
        <button type="button" class="ask" @click="take(i)">
          take it off<span class="sr">: {{ SEEN_LABELS[pad.level] }}</span>
        </button>
      </p>
    </div>
    <button v-if="next && pads.length < 8" type="button" class="ask" @click="add">+ padding</button>
  </section>
</template>

<style scoped>
.pads {
  position: relative; /* what is only for ears lies here, not under the page */
  margin-top: 14px;
}
.pad {
  border-top: 1px solid var(--line);
  padding: 8px 0 2px;
}
.row {
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 8px;
  align-items: start;
  margin-bottom: 6px;
}
p {
  margin: 2px 0;
}
</style>
