<script setup lang="ts">
import { computed } from 'vue'
import type { Build, Point } from '../../api/types'
import { path } from '../../surface/flat'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { length, shortDay } from '../../parts/words'

// Versions as small silhouettes: what changed, and what was read on each. One that is picked is compared.
const picked = defineModel<number | null>('picked', { required: true })
const openBuild = useOpenBuild()
const settings = useSettings()
type Version = NonNullable<Build['versions']>[number]
const versions = computed(() => openBuild.build.versions)
const fittings = (number: number) => openBuild.build.fittings.filter((fitting) => fitting.version === number)

function shape(version: Version): { d: string; box: string } {
  let x = 0
  const parts: string[] = []
  // stations beyond top line and hem are not part of the garment
  const [low, high] = [version.pattern.hem, version.pattern.top].map(
    (line) => (line.cf_mm + line.side_mm + line.cb_mm) / 3,
  )
  const inside = version.pattern.stations.map((station, i) => ({
    i,
    z: Math.min(high, Math.max(low, station.side_mm)),
  }))
  const z = inside.map((one) => one.z)
  for (const panel of version.pattern.panels) {
    const left = panel.cf_edge_mm.map((edge, i): Point => [x + edge, -z[i]])
    const right = panel.cb_edge_mm.map((edge, i): Point => [x + edge, -z[i]]).reverse()
    parts.push(path([...left, ...right], true))
    x += Math.max(...panel.cb_edge_mm) + 8
  }
  return { d: parts.join(''), box: `-4 ${-Math.max(...z) - 4} ${x} ${Math.max(...z) - Math.min(...z) + 8}` }
}
const BARE = { hardware: true, bare: true }
const gaps = (number: number) =>
  fittings(number).map((fitting) => {
    const r = fitting.readings
    if (!r.length) return `fitting ${fitting.number}, no gap read`
    const waist = r.reduce((best, one) => (Math.abs(one.z_mm) < Math.abs(best.z_mm) ? one : best), r[0])
    const sizes = [r[0], waist, r[r.length - 1]].map((one) => length(one.gap_mm, settings.unit, BARE))
    return `gap ${sizes.join(' · ')} ${settings.smallUnit}`
  })
</script>

<template>
  <ol>
    <li
      v-for="version in versions"
      :key="version.number"
      :class="{ current: version.number === versions.length, picked: picked === version.number }"
    >
      <button
        type="button"
        :aria-pressed="picked === version.number"
        title="Look at this version"
        @click="picked = picked === version.number ? null : version.number"
      >
        <svg :viewBox="shape(version).box" aria-hidden="true"><path :d="shape(version).d" /></svg>
        <span class="told">
          <b>v{{ version.number }}</b> <b v-if="version.name">{{ version.name }}</b>
          <span class="soft">{{ version.made_on ? shortDay(version.made_on) : '' }}</span>
          <small>{{ version.reason }}</small>
          <small v-if="openBuild.plan.stale.includes(version.number)" class="stale"
            >from a fitting that was corrected since</small
          >
          <small v-for="gap in gaps(version.number)" :key="gap" class="read in">{{ gap }}</small>
        </span>
      </button>
    </li>
    <li v-if="openBuild.plan.proposal" class="proposed">
      <div>
        <b>v{{ versions.length + 1 }} proposed</b><small>{{ openBuild.plan.proposal.reason }}</small>
      </div>
    </li>
  </ol>
</template>

<style scoped>
ol {
  display: flex;
  gap: 12px;
  list-style: none;
  margin: 0;
  padding: 0;
  overflow-x: auto;
}
li {
  display: flex;
  align-items: center;
  border: 1px solid var(--line);
  border-radius: 4px;
  min-width: 190px;
  max-width: 310px;
}
li > div {
  padding: 7px 11px;
}
button {
  display: flex;
  gap: 10px;
  align-items: center;
  padding: 7px 11px;
  text-align: left;
  font: inherit;
  color: inherit;
  width: 100%;
}
.picked {
  background: var(--marked);
}
.told {
  display: block;
}
.current {
  border: 2px solid var(--ink);
}
.proposed {
  border: 2px dashed var(--settled);
  color: var(--settled);
}
svg {
  width: 84px;
  height: 50px;
  flex: none;
}
path {
  fill: none;
  stroke: var(--ink);
  stroke-width: 5;
}
small {
  display: block;
  color: var(--steel);
  line-height: 1.2;
  font-size: 0.86rem;
}
.proposed small {
  color: inherit;
}
.stale {
  color: var(--caution);
}
.read {
  color: var(--ink);
}
</style>
