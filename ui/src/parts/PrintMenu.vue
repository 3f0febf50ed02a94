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
</script>

<template>
  <v-menu v-model="shown" location="bottom end">
    <template #activator="{ props }">
      <v-btn v-bind="props" :prepend-icon="mdiPrinterOutline" size="small" variant="text">Print</v-btn>
    </template>
    <v-list density="compact" min-width="290" aria-label="Print">
      <template v-if="drafted">
        <v-list-item
          :href="`${base}/pattern.pdf?paper=a4`"
          download
          title="Pattern 1:1, A4 pages"
          subtitle="PDF with 50 mm test square"
        />
        <v-list-item
          :href="`${base}/pattern.pdf?paper=letter`"
          download
          title="Pattern 1:1, Letter pages"
          subtitle="PDF with 50 mm test square"
        />
        <v-list-item :href="`${base}/pattern.svg`" download title="Pattern as drawing" subtitle="SVG in millimetres" />
        <v-list-item
          :href="`${base}/pattern.dxf`"
          download
          title="Pattern for cutting software"
          subtitle="DXF in millimetres, in layers"
        />
        <v-list-item
          :href="`${base}/plies.pdf?paper=${settings.house.paper}`"
          download
          title="Pieces of every ply, 1:1"
          subtitle="each with its own allowance and grain"
        />
        <v-list-item :href="`${base}/plies.svg`" download title="Pieces as drawing" subtitle="SVG; every ply" />
        <v-list-item
          :href="`${base}/plies.dxf`"
          download
          title="Pieces for cutting software"
          subtitle="DXF; every ply"
        />
        <v-list-item
          :href="`${base}/list.pdf?paper=${settings.house.paper}`"
          download
          title="List"
          subtitle="bones, closure, holes and lace: one page"
        />
        <v-list-item
          :href="`${base}/bones.pdf?paper=${settings.house.paper}`"
          download
          title="Strip of bones, 1:1"
          subtitle="every bone with its label"
        />
        <v-list-item
          v-if="open.plan?.opening?.opens_high_mm != null"
          :href="`${base}/front.pdf?paper=${settings.house.paper}`"
          download
          title="Front, both sides, 1:1"
          subtitle="sew and leave, knobs, hooks, zip"
        />
        <v-list-item
          v-if="open.plan?.holes"
          :href="`${base}/holes.pdf?paper=${settings.house.paper}`"
          download
          title="Punching strip, 1:1"
          subtitle="holes, fold and waist"
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
