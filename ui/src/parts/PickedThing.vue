<script setup lang="ts">
import { computed } from 'vue'
import type { Bone } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'
import { useSettings } from '../stores/settings'
import { hardware, length } from './words'

// The numbers of what is picked on the garment: a channel, a stud or hook, a row of holes.
const props = defineProps<{ picked: string; bones?: Bone[] }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const plan = computed(() => openBuild.plan)
const mm = (value: number) => hardware(value, settings.unit)
const number = (what: string) => Number(new RegExp(`^${what} (\\d+)`).exec(props.picked)?.[1] ?? 0)
const stud = computed(() => number('stud'))
const row = computed(() => number('row'))
const bone = computed(() => (props.bones ?? plan.value.bones).find((bone) => bone.channel === props.picked))
const opening = computed(() => plan.value.opening)
const holes = computed(() => plan.value.holes)
const mark = computed<number | undefined>(() => opening.value?.marks_z_mm[stud.value - 1])
const hole = computed(() => (row.value ? plan.value.holes?.rows.at(row.value - 1) : undefined))
const place = (z: number) =>
  `${mm(Math.abs(z))} ${z >= 0 ? 'above' : 'below'} the ${plan.value.pattern?.zero ?? 'waist'}`
</script>

<template>
  <section
    v-if="(opening && mark !== undefined) || (holes && hole) || bone"
    class="chosen"
    aria-live="polite"
    aria-label="What is picked"
  >
    <template v-if="opening && mark !== undefined">
      <h2>{{ opening.kind === 'busk' ? 'Stud' : 'Hook' }} {{ stud }}</h2>
      <p>
        <b class="in">{{ mm((opening.opens_high_mm ?? 0) - mark) }}</b> below the top stitch line, {{ place(mark) }}.
      </p>
    </template>
    <template v-else-if="holes && hole">
      <h2>Row {{ row }}</h2>
      <p>
        <b class="in">{{ place(hole.z_mm) }}</b>, {{ mm(holes.inset_mm) }} in from the fold, the same on both sides.
      </p>
      <p class="soft">
        It carries {{ hole.carries_n.toFixed(1) }} N, over {{ mm(hole.holds_up_mm) }} of the edge; one holds some
        {{ holes.holds_n }} N. Hole {{ mm(holes.hole_mm) }}, flange {{ mm(holes.flange_mm) }}.
      </p>
    </template>
    <template v-else-if="bone">
      <h2>Channel {{ bone.channel }}</h2>
      <p>
        <b class="in">{{ mm(bone.length_mm) }}</b> {{ bone.kind_label
        }}<template v-if="bone.count > 1">, two side by side</template>; channel
        {{ mm(bone.channel_width_mm) }} wide<template v-if="bone.radius_mm"
          >, bends to {{ length(bone.radius_mm, settings.unit) }}</template
        >.
      </p>
    </template>
  </section>
</template>

<style scoped>
.chosen {
  background: var(--bench);
  padding: 6px 12px 8px;
  border-radius: 4px;
  margin: 8px 0;
}
h2,
p {
  margin: 0;
}
</style>
