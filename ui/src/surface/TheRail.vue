<script setup lang="ts">
import { computed } from 'vue'
import { length } from '../parts/words'
import { useSettings } from '../stores/settings'
import { useSurface } from './context'
import { RAIL, spreadOut, ticksOfRail, type View } from './viewport'

// The rail: height from the zero line, and the levels with their girths, which can be picked where that is asked for.
const props = defineProps<{ view: View; height: number; pickLevels?: boolean }>()
const settings = useSettings()
const { plan, picked, pick, sz } = useSurface()
const ticks = computed(() => ticksOfRail(props.view, props.height, settings.unit))
const levels = computed(() => {
  const all = plan.value.levels
  const places = spreadOut(
    all.map((level) => sz(level.z_mm)),
    37,
  )
  return all.map((level, i) => ({
    name: level.name,
    label: level.label,
    y: places[i],
    girths: level.closed_mm == null ? bare(level.body_mm) : `${bare(level.body_mm)} → ${bare(level.closed_mm)}`,
  }))
})
const bare = (mm: number) => length(mm, settings.unit, { bare: true })
const chosen = (name: string) => props.pickLevels && pick(`level ${name}`)
</script>

<template>
  <g>
    <rect :width="RAIL" height="100%" class="railbed" />
    <g v-for="tick in ticks" :key="tick.y" class="tick">
      <line :x1="RAIL" :x2="RAIL - (tick.long ? 13 : 7)" :y1="tick.y" :y2="tick.y" />
      <text v-if="tick.text" :x="RAIL - 17" :y="tick.y + 4">{{ tick.text }}</text>
    </g>
    <line :x1="RAIL" :x2="RAIL" y1="0" :y2="height" class="rail" />
    <g
      v-for="level in levels"
      :key="level.name"
      class="level"
      :class="{ picked: picked === `level ${level.name}` }"
      :role="pickLevels ? 'button' : undefined"
      :tabindex="pickLevels ? 0 : undefined"
      :data-level="level.name"
      @click="chosen(level.name)"
      @keydown.enter="chosen(level.name)"
    >
      <rect v-if="pickLevels" x="4" :y="level.y - 17" width="112" height="38" rx="3" class="grip" />
      <text x="12" :y="level.y - 2" class="name">{{ level.label }}</text>
      <text x="12" :y="level.y + 15" class="in girths">{{ level.girths }}</text>
    </g>
    <text x="12" y="20" class="railhead">body → sewn, {{ settings.unit }}</text>
  </g>
</template>

<style scoped>
.railbed {
  fill: var(--paper);
}
.rail {
  stroke: var(--ink);
  stroke-width: 1.5;
}
.railhead {
  font-size: 12.5px;
  fill: var(--steel);
}
.tick line {
  stroke: var(--steel);
}
.tick text {
  text-anchor: end;
  font-size: 12.5px;
  fill: var(--steel);
}
.grip {
  fill: transparent;
  cursor: pointer;
}
.level:hover .grip {
  fill: var(--bench);
}
.level.picked .grip {
  fill: var(--marked);
}
.level text {
  pointer-events: none;
}
.level .name {
  font-size: 15.5px;
  font-weight: 600;
}
.level .girths {
  font-size: 14.5px;
  fill: var(--steel);
}
</style>
