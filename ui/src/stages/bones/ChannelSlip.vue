<script setup lang="ts">
import { computed } from 'vue'
import type { Between, Bone, Shaped } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import LengthField from '../../parts/LengthField.vue'
import SectionDrawing from '../../parts/SectionDrawing.vue'
import { hardware, length } from '../../parts/words'
import { channels } from './channels'
import NamedSelect from '../../parts/NamedSelect.vue'
import { useMaterials } from '../../stores/materials'

// One channel: its numbers, what lies in it and how it is made; its section, to scale.
const props = defineProps<{ bone: Bone }>()
const emit = defineEmits<{ gone: [] }>()
const openBuild = useOpenBuild()
const materials = useMaterials()
const settings = useSettings()
const edit = channels()
const choices = computed(() => openBuild.build.bones)
const section = computed(() => openBuild.plan.sections[`${props.bone.kind}/${props.bone.made}/${props.bone.count}`])
const stays = computed(() =>
  materials.bones
    .filter((kind) => !props.bone.can_lie.includes(kind.name))
    .map((kind) => kind.label)
    .join(', '),
)
const own = computed(() => choices.value.by_channel[props.bone.channel])
const doubled = computed(() => choices.value.doubled.includes(props.bone.channel))
const seam = computed(() => (props.bone.seam == null ? null : `${props.bone.seam}·${props.bone.seam + 1}`))
// the channels of a folded edge lie between its plies, however the others are made
const folded = computed(() => props.bone.place.includes('edge'))
const loose = computed(() => ['between', 'shaped'].includes(props.bone.place))
const mine = computed<Between | Shaped | undefined>(() => edit.find(props.bone.channel))
const MADE = [
  { title: 'between the plies', value: 'between plies' },
  { title: 'in the seam allowance', value: 'in the allowances' },
  { title: 'under a tape inside', value: 'inside tape' },
  { title: 'under a tape outside', value: 'outside tape' },
]
const WHERE = [
  { title: 'on the seam', value: 'on' },
  { title: 'beside it, toward CF', value: 'CF side' },
  { title: 'beside it, toward CB', value: 'CB side' },
  { title: 'one on each side', value: 'both sides' },
  { title: 'none', value: 'none' },
]
const mm = (value: number) => hardware(value, settings.unit)
const points = computed(() => (mine.value && 'points' in mine.value ? mine.value.points : undefined))
function toggleDouble() {
  const label = props.bone.channel
  openBuild.set(
    'bones.doubled',
    doubled.value ? choices.value.doubled.filter((one) => one !== label) : [...choices.value.doubled, label],
  )
}
async function leaveOut() {
  if (await edit.remove(props.bone.channel)) emit('gone')
}
</script>

<template>
  <section class="chosen" aria-live="polite" :aria-label="`Channel ${bone.channel}`">
    <h2>
      Channel {{ bone.channel }} <span class="soft small">{{ bone.place }}</span>
    </h2>
    <p class="big in">{{ bone.count > 1 ? `2 × ${mm(bone.length_mm)}` : mm(bone.length_mm) }}</p>
    <p class="soft">
      {{ bone.kind_label }}<template v-if="bone.swapped">, for the curve</template>. Channel
      {{ mm(bone.path_mm) }} long, {{ mm(bone.channel_width_mm) }} stitch to stitch<template v-if="bone.strip_mm"
        >; tape {{ mm(bone.strip_mm) }} finished, cut {{ mm(bone.strip_cut_mm!) }}, {{ bone.lines_mm.length }} lines of
        stitching</template
      >.
    </p>
    <p v-if="bone.radius_mm" class="soft">
      Bends to a radius of {{ length(bone.radius_mm, settings.unit) }} at
      {{ length(bone.tightest_z_mm, settings.unit) }}. <template v-if="stays">Too stiff for it: {{ stays }}.</template
      ><template v-else>Every kind follows.</template>
    </p>
    <NamedSelect
      label="Kind, just here"
      :items="materials.bones"
      :model-value="own ?? null"
      placeholder="as the others"
      persistent-placeholder
      clearable
      @update:model-value="(value: string | null) => openBuild.set(`bones.by_channel.${bone.channel}`, value ?? null)"
    />
    <v-select
      v-if="seam"
      label="Where"
      :items="WHERE"
      :model-value="choices.on_seams[seam] ?? (bone.place === 'seam' ? 'on' : 'CB side')"
      @update:model-value="(value: string) => openBuild.set(`bones.on_seams.${seam}`, value)"
    />
    <v-select
      v-if="!folded"
      label="Made, just here"
      :items="MADE"
      :model-value="choices.made_by_channel[bone.channel] ?? null"
      :placeholder="bone.made"
      persistent-placeholder
      clearable
      @update:model-value="
        (value: string | null) => openBuild.set(`bones.made_by_channel.${bone.channel}`, value ?? null)
      "
    />
    <LengthField
      :key="bone.channel"
      :at="`bones.clearance_by_channel.${bone.channel}`"
      :mm="choices.clearance_by_channel[bone.channel]"
      label="clear at each end, just here"
      hardware
      :placeholder="hardware((bone.path_mm - bone.room_mm) / 2, settings.unit).replace(/ \w+$/, '')"
    />
    <div class="acts">
      <v-btn size="small" variant="outlined" @click="toggleDouble">{{
        doubled ? 'One bone' : 'Two side by side'
      }}</v-btn>
      <template v-if="loose">
        <v-btn v-if="points" size="small" variant="outlined" @click="edit.morePoints(bone.channel)">A point more</v-btn>
        <v-btn
          v-if="points && points.length > 2"
          size="small"
          variant="outlined"
          @click="edit.fewerPoints(bone.channel)"
          >A point less</v-btn
        >
        <v-btn size="small" variant="text" @click="leaveOut">Leave it out</v-btn>
      </template>
    </div>
    <SectionDrawing v-if="section" :section="section" />
  </section>
</template>

<style scoped>
.chosen {
  background: var(--bench);
  padding: 6px 12px 8px;
  border-radius: 4px;
  display: grid;
  gap: 8px;
  margin: 8px 0;
}
h2,
p {
  margin: 0;
}
.big {
  font-size: 1.7rem;
  font-weight: 650;
  line-height: 1.1;
}
.acts {
  display: flex;
  flex-wrap: wrap;
  gap: 6px;
}
</style>
