<script setup lang="ts">
import { mdiPrinterOutline } from '@mdi/js'
import { useLocalStorage } from '@vueuse/core'
import { computed, shallowRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useOpenBuild } from '../stores/openBuild'
import { useNotices } from '../stores/notices'
import { useSettings } from '../stores/settings'
import { mainDrawing, savePicture } from './picture'
import HouseToggle from './HouseToggle.vue'

const shown = defineModel<boolean>({ required: true })
const openBuild = useOpenBuild()
const settings = useSettings()
const base = computed(() => `/api/builds/${openBuild.latest?.id}`)
const drawing = shallowRef<SVGSVGElement>()
watch(shown, (on) => on && (drawing.value = mainDrawing()))
const route = useRoute()
const notices = useNotices()
async function save() {
  const name = openBuild.build.brief.name.replace(/[^A-Za-z0-9]+/g, '-').replace(/^-|-$/g, '') || 'build'
  await savePicture(drawing.value!, `${name}-${String(route.name)}.png`).catch(() =>
    notices.tell('This drawing can’t be made a picture here.'),
  )
}
const drafted = computed(() => !!openBuild.plan.pattern)
// how wide paper from a roll is, mm: those that plotters take; the last one used is kept by this browser
const ROLLS = [610, 841, 914, 1067] as const
const roll = useLocalStorage<number>('fuseau roll', 914)
const rollName = (mm: number) => (settings.unit === 'in' ? `${Math.round(mm / 25.4)} in` : `${mm / 10} cm`)
const GROUPS = computed(() => {
  const pages = `paper=${settings.house.paper}`
  const width = `roll=${roll.value}`
  const paper = settings.house.paper === 'a4' ? 'A4' : 'Letter'
  return [
    {
      title: 'Pattern, 1:1',
      prints: [
        {
          file: `pattern.pdf?${pages}`,
          title: `Pattern 1:1, ${paper} pages`,
          subtitle: `PDF with 50 mm${settings.unit === 'in' ? ' and 2 in' : ''} test square`,
        },
        {
          file: `large.pdf?${width}`,
          title: 'Pattern 1:1, one large page',
          subtitle: 'as wide as the roll, 100 mm test square',
        },
        {
          file: `projector.pdf?${width}`,
          title: 'Pattern 1:1, for a projector',
          subtitle: 'layers to be switched, thick lines',
        },
        {
          file: `plies.pdf?${pages}`,
          title: 'Pieces of every ply, 1:1',
          subtitle: 'each with its own allowance and grain',
        },
      ],
    },
    {
      title: 'At the table',
      prints: [
        { file: `list.pdf?${pages}`, title: 'List', subtitle: 'bones, closure, holes, lace and cloth, to tick off' },
        { file: `fitting.pdf?${pages}`, title: 'Fitting slip', subtitle: 'to write down what a fitting shows' },
        { file: `bones.pdf?${pages}`, title: 'Strip of bones, 1:1', subtitle: 'every bone with its label' },
        ...(openBuild.plan.opening?.opens_high_mm != null
          ? [
              {
                file: `front.pdf?${pages}`,
                title: 'Front, both sides, 1:1',
                subtitle: 'sew and leave, knobs, hooks, zip',
              },
            ]
          : []),
        ...(openBuild.plan.holes
          ? [{ file: `holes.pdf?${pages}`, title: 'Punching strip, 1:1', subtitle: 'holes, fold and waist' }]
          : []),
        { file: 'on-her.pdf', title: 'On the body, with her levels', subtitle: 'one page' },
      ],
    },
    {
      title: 'Drawings and sheets',
      prints: [
        { file: 'pattern.svg', title: 'Pattern as drawing', subtitle: 'SVG in millimetres' },
        { file: 'pattern.dxf', title: 'Pattern for cutting software', subtitle: 'DXF in millimetres, in layers' },
        { file: 'plies.svg', title: 'Pieces as drawing', subtitle: 'SVG; every ply' },
        { file: 'plies.dxf', title: 'Pieces for cutting software', subtitle: 'DXF; every ply' },
        { file: 'body.svg?turn=0&turn=180', title: 'On the body, front and back', subtitle: 'SVG in millimetres' },
        { file: 'bones.csv', title: 'Bones as a sheet', subtitle: 'CSV: every bone with its channel' },
        { file: 'measures.csv', title: 'Measures as a sheet', subtitle: 'CSV: every level with its readings' },
      ],
    },
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
    <v-list density="compact" min-width="290" role="group" aria-label="Print">
      <template v-if="drafted">
        <div class="paper">
          <span id="print-pages">Pages</span>
          <HouseToggle of="paper" aria-labelledby="print-pages" />
          <span id="print-roll">Roll</span>
          <v-btn-toggle v-model="roll" mandatory aria-labelledby="print-roll" @click.stop
            ><v-btn v-for="sold in ROLLS" :key="sold" :value="sold" size="small">{{
              rollName(sold)
            }}</v-btn></v-btn-toggle
          >
        </div>
        <template v-for="group in GROUPS" :key="group.title">
          <v-list-subheader>{{ group.title }}</v-list-subheader>
          <v-list-item
            v-for="print in group.prints"
            :key="print.file"
            :href="`${base}/${print.file}`"
            download
            :title="print.title"
            :subtitle="print.subtitle"
          />
        </template>
      </template>
      <v-list-item v-else role="note" title="No pattern yet" subtitle="The measures come first" disabled />
      <v-list-item
        v-if="drawing"
        role="button"
        title="This drawing as a picture"
        subtitle="PNG, as it is seen now"
        @click="save"
      />
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

<style scoped>
.paper {
  display: grid;
  grid-template-columns: 50px max-content;
  gap: 6px 8px;
  align-items: center;
  padding: 6px 16px 2px;
}
</style>
