<script setup lang="ts">
import { mdiPrinterOutline } from '@mdi/js'
import { computed } from 'vue'
import { useBuild } from '../stores/build'
import { useSettings } from '../stores/settings'

const shown = defineModel<boolean>({ required: true })
const open = useBuild()
const settings = useSettings()
const base = computed(() => `/api/builds/${open.latest?.id}`)
const drafted = computed(() => !!open.plan?.pattern)
const PRINTS = computed(() => {
  const paper = settings.house.paper
  return [
    {
      file: `pattern.pdf?paper=${paper}`,
      title: `Pattern 1:1, ${paper === 'a4' ? 'A4' : 'Letter'} pages`,
      subtitle: `PDF with 50 mm${settings.unit === 'in' ? ' and 2 in' : ''} test square`,
    },
    {
      file: 'large.pdf?roll=914',
      title: 'Pattern 1:1, one large page',
      subtitle: 'roll of 914 mm, 100 mm test square',
    },
    { file: 'large.pdf?roll=841', title: 'Pattern 1:1, as wide as A0', subtitle: '841 mm, 100 mm test square' },
    {
      file: 'projector.pdf?roll=914',
      title: 'Pattern 1:1, for a projector',
      subtitle: 'layers to be switched, thick lines',
    },
    { file: 'pattern.svg', title: 'Pattern as drawing', subtitle: 'SVG in millimetres' },
    { file: 'pattern.dxf', title: 'Pattern for cutting software', subtitle: 'DXF in millimetres, in layers' },
    {
      file: `plies.pdf?paper=${paper}`,
      title: 'Pieces of every ply, 1:1',
      subtitle: 'each with its own allowance and grain',
    },
    { file: 'plies.svg', title: 'Pieces as drawing', subtitle: 'SVG; every ply' },
    { file: 'plies.dxf', title: 'Pieces for cutting software', subtitle: 'DXF; every ply' },
    {
      file: `fitting.pdf?paper=${paper}`,
      title: 'Fitting slip',
      subtitle: 'to write down by hand what the fitting shows: one page',
    },
    { file: 'on-her.pdf', title: 'On the body, with her levels', subtitle: 'one page' },
    { file: 'body.svg?turn=0&turn=180', title: 'On the body, front and back', subtitle: 'SVG in millimetres' },
    { file: `list.pdf?paper=${paper}`, title: 'List', subtitle: 'bones, closure, holes, lace and cloth, to tick off' },
    { file: `bones.pdf?paper=${paper}`, title: 'Strip of bones, 1:1', subtitle: 'every bone with its label' },
    { file: 'bones.csv', title: 'Bones as a sheet', subtitle: 'CSV: every bone with its channel' },
    ...(open.plan?.opening?.opens_high_mm != null
      ? [
          {
            file: `front.pdf?paper=${paper}`,
            title: 'Front, both sides, 1:1',
            subtitle: 'sew and leave, knobs, hooks, zip',
          },
        ]
      : []),
    ...(open.plan?.holes
      ? [{ file: `holes.pdf?paper=${paper}`, title: 'Punching strip, 1:1', subtitle: 'holes, fold and waist' }]
      : []),
  ]
})
</script>

<template>
  <v-menu v-model="shown" location="bottom end">
    <template #activator="{ props }">
      <v-btn v-bind="props" :prepend-icon="mdiPrinterOutline" size="small" variant="text" aria-label="Print"
        ><span class="wide">Print</span></v-btn
      >
    </template>
    <v-list density="compact" min-width="290" aria-label="Print">
      <template v-if="drafted">
        <v-list-item class="paper">
          <v-btn-toggle
            :model-value="settings.house.paper"
            aria-label="Paper"
            @click.stop
            @update:model-value="(paper: 'a4' | 'letter') => settings.setHouse({ paper })"
            ><v-btn value="a4" size="small">A4</v-btn><v-btn value="letter" size="small">Letter</v-btn></v-btn-toggle
          >
        </v-list-item>
        <v-list-item
          v-for="one in PRINTS"
          :key="one.file"
          :href="`${base}/${one.file}`"
          download
          :title="one.title"
          :subtitle="one.subtitle"
        />
      </template>
      <v-list-item v-else title="No pattern yet" subtitle="The measures come first" disabled />
      <v-divider />
      <v-list-item
        :href="`${base}/build.fuseau.json`"
        download
        title="Build as file"
        subtitle="with its pictures, to keep or to hand on"
      />
    </v-list>
  </v-menu>
</template>
