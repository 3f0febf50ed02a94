<script setup lang="ts">
import { computed } from 'vue'
import type { Bone } from '../../api/types'
import { length } from '../../parts/words'
import { useSettings } from '../../stores/settings'
import { useSurface } from '../context'
import { aside, footTexts } from '../flat'

// Channels and the bones in them; marked where a finding is about one; with their lengths where they are the subject.
defineProps<{ lengths: boolean }>()
const settings = useSettings()
const { plan, bones, flat, scale, picked, pick, sx, sz, line } = useSurface()
const odd = computed(() => {
  const found = plan.value.findings.filter((finding) => finding.stage === 'bones')
  return new Set(found.map((one) => one.where ?? ''))
})
const shown = (bone: Bone, bare = false) => length(bone.length_mm, settings.unit, { hardware: true, bare })
const foot = computed(() => footTexts(bones.value, flat.value.offsets, sx, sz, (bone) => shown(bone, true)))
const oneOf = (bone: Bone, k: number) => aside(bone.bone_path, (k - (bone.count + 1) / 2) * bone.channel_width_mm)
</script>

<template>
  <g>
    <g
      v-for="bone in bones"
      :key="bone.channel"
      class="bone"
      :class="[bone.drawn, { picked: picked === bone.channel, odd: odd.has(bone.channel) }]"
      :data-channel="bone.channel"
      role="button"
      tabindex="0"
      :aria-label="`Channel ${bone.channel}, ${bone.kind_label}, ${shown(bone)}`"
      @click.stop="pick(bone.channel)"
      @keydown.enter="pick(bone.channel)"
    >
      <path
        v-if="bone.strip_mm"
        :d="line(bone.panel - 1, bone.path)"
        class="strip"
        :class="bone.made.split(' ')[0]"
        :stroke-width="bone.strip_mm * scale"
      />
      <path
        :d="line(bone.panel - 1, bone.path)"
        class="channel"
        :stroke-width="bone.count * bone.channel_width_mm * scale"
      />
      <path
        v-for="k in bone.count"
        :key="k"
        :d="line(bone.panel - 1, oneOf(bone, k))"
        class="steel"
        :stroke-width="Math.max(2, bone.width_mm * scale)"
      />
      <text v-if="lengths" :x="foot[bone.channel].x" :y="foot[bone.channel].y" class="in cutto">
        {{ foot[bone.channel].text }}
      </text>
    </g>
  </g>
</template>

<style scoped>
.bone {
  cursor: pointer;
}
.bone path {
  fill: none;
}
.channel {
  stroke: var(--steel);
  stroke-opacity: 0.13;
}
.steel {
  stroke: var(--steel);
  stroke-linecap: round;
  stroke-opacity: 0.62;
}
.cutto {
  text-anchor: middle;
  font-size: 13.5px;
  font-weight: 650;
  fill: var(--ink);
  paint-order: stroke;
  stroke: var(--paper);
  stroke-width: 3px;
}
.bone.coil .steel {
  stroke-dasharray: 2.5 1.5;
  stroke-linecap: butt;
}
.bone.strip .steel {
  stroke: var(--metal);
  stroke-opacity: 0.75;
}
.bone.ribbon .steel {
  stroke: var(--metal);
  stroke-dasharray: 1 2;
  stroke-linecap: butt;
}
.strip {
  stroke: var(--ink);
  stroke-opacity: 0.07;
}
.strip.outside {
  stroke-opacity: 0.16;
}
.bone:focus {
  outline: none;
}
.bone:focus .channel {
  stroke: var(--letout);
  stroke-opacity: 0.28;
}
.bone.odd .channel {
  stroke: var(--caution);
  stroke-opacity: 0.35;
}
.bone.picked .steel {
  stroke: var(--letout);
  stroke-opacity: 1;
}
.bone.picked .channel {
  stroke: var(--letout);
  stroke-opacity: 0.3;
}
</style>
