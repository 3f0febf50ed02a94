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
const choose = (one: MethodSide) => openBuild.edit(one.changes, `Made up: ${one.name}`)
const emit = defineEmits<{ look: [one: MethodSide | undefined] }>()
const over = (one: MethodSide) => one.seam.mm > one.seam.most_mm
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
        v-for="one in methods"
        :key="one.name"
        :class="{ on: one.chosen }"
        :data-method="one.name"
        @mouseenter="emit('look', one)"
        @mouseleave="emit('look', undefined)"
      >
        <td>
          <button
            type="button"
            :disabled="one.chosen"
            :aria-pressed="one.chosen"
            @click="choose(one)"
            @focus="emit('look', one)"
            @blur="emit('look', undefined)"
          >
            {{ one.name }}
          </button>
          <span v-if="one.adds_lining" class="soft small"> + lining</span>
        </td>
        <td>{{ one.channels }}</td>
        <td class="n in">{{ duration(one.minutes) }}</td>
        <td class="n in" :class="{ over: over(one) }">{{ thick(one.seam.mm, settings.unit) }}</td>
        <td class="hides">
          {{
            [one.hides_inside ? 'edges' : '', one.hides_outside ? 'stitching' : ''].filter(Boolean).join(', ') || '–'
          }}
        </td>
        <td>{{ LETS[one.lets_out] }}</td>
        <td class="n in">{{ Math.round(one.grams) }} g</td>
        <td class="n">{{ one.price.toFixed(0) }}</td>
        <td class="n in">{{ thick(one.take_up_mm, settings.unit) }}</td>
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
