<script setup lang="ts">
import { computed } from 'vue'
import type { MethodSide } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { duration, thick } from '../../parts/words'

// The ways to make it up beside each other, each with her plies: what it hides, takes and lets out.
const openBuild = useOpenBuild()
const settings = useSettings()
const methods = computed(() => openBuild.layers.methods)
const LETS = ['hardly', 'some', 'readily']
const choose = (side: MethodSide) => openBuild.edit(side.changes, `Made up: ${side.name}`)
const emit = defineEmits<{ look: [one: MethodSide | undefined] }>()
const over = (side: MethodSide) => side.seam.mm > side.seam.most_mm
</script>

<template>
  <table class="numbers methods" aria-label="Methods side by side">
    <thead>
      <tr>
        <th>method</th>
        <th>channels</th>
        <th class="n">time</th>
        <th class="n">at seams</th>
        <th class="hides">hides</th>
        <th>lets out</th>
        <th class="n">weighs</th>
        <th class="n">cloth costs</th>
        <th class="n">room inside</th>
      </tr>
    </thead>
    <tbody>
      <tr
        v-for="method in methods"
        :key="method.name"
        :class="{ on: method.chosen }"
        :data-method="method.name"
        @mouseenter="emit('look', method)"
        @mouseleave="emit('look', undefined)"
      >
        <td>
          <button
            type="button"
            :disabled="method.chosen"
            :aria-pressed="method.chosen"
            @click="choose(method)"
            @focus="emit('look', method)"
            @blur="emit('look', undefined)"
          >
            {{ method.name }}
          </button>
          <span v-if="method.adds_lining" class="soft small"> + lining</span>
        </td>
        <td>{{ method.channels }}</td>
        <td class="n in">{{ duration(method.minutes) }}</td>
        <td class="n in" :class="{ over: over(method) }">{{ thick(method.seam.mm, settings.unit) }}</td>
        <td class="hides">
          {{
            [method.hides_inside ? 'edges' : '', method.hides_outside ? 'stitching' : ''].filter(Boolean).join(', ') ||
            '–'
          }}
        </td>
        <td>{{ LETS[method.lets_out] }}</td>
        <td class="n in">{{ Math.round(method.grams) }} g</td>
        <td class="n">{{ method.price.toFixed(0) }}</td>
        <td class="n in">{{ thick(method.take_up_mm, settings.unit) }}</td>
      </tr>
    </tbody>
  </table>
</template>

<style scoped>
.hides {
  padding-left: 14px !important;
}
.methods {
  font-size: 0.88rem;
}
.methods td {
  white-space: nowrap;
  padding-block: 1px;
}
.methods button {
  font: inherit;
  font-weight: 600;
  color: var(--letout);
  text-decoration: underline dotted;
  text-align: left;
  padding: 0;
}
.methods button:disabled {
  color: var(--ink);
  text-decoration: none;
  cursor: default;
}
.on td {
  background: var(--marked);
}
.over {
  color: var(--caution);
  font-weight: 650;
}
</style>
