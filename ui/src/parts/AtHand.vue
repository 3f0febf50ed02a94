<script setup lang="ts">
import { computed, onMounted, ref, watch } from 'vue'
import { answer, api, ofBuild } from '../api/client'
import type { Need, OnShelf, Stage } from '../api/types'
import { useOpenBuild } from '../stores/openBuild'
import { useSettings } from '../stores/settings'
import { useShelf } from '../stores/shelf'
import { run } from './words'
import { onShelf } from '../commands/shelf'

// What this stage needs that is bought, against what the shelf has of it; kept for this build with one press.
const props = defineProps<{ stage: Stage }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const shelf = useShelf()
const needs = ref<Need[]>([])
onMounted(shelf.load)
watch(
  () => [openBuild.latest?.id, openBuild.latest?.revision],
  async () => {
    const id = openBuild.latest?.id
    if (!id) return
    const found = await answer(api.GET('/api/builds/{build_id}/needs', ofBuild(id))).catch(() => undefined)
    if (found && openBuild.latest?.id === id) needs.value = found.needs.filter((need) => need.stage === props.stage)
  },
  { immediate: true },
)
const keptOf = (shelf: OnShelf) => shelf.reserved.find((kept) => kept.build === openBuild.latest?.id)?.amount ?? 0
const lines = computed(() =>
  needs.value.map((need) => {
    const much = (amount: number) =>
      need.article.measure === 'length' ? run(amount, settings.unit) : String(Math.round(amount))
    const there = (shelf.latest?.pieces ?? []).filter(
      ({ piece }) => piece.sort === need.article.sort && piece.name === need.article.name,
    )
    const kept = there.reduce((sum, one) => sum + keptOf(one), 0)
    const free = there.reduce((sum, one) => sum + one.free, 0)
    const enough = kept >= need.amount - 0.5
    // what has to be in one comes from a piece that is long enough, of however many there are
    const least = need.in_one ? need.amount : Math.min(...(need.lengths_mm.length ? need.lengths_mm : [0]))
    const reaches = (one: OnShelf) => Math.min(one.piece.length_mm ?? Infinity, one.free + keptOf(one)) >= least - 0.5
    const next = there.find((one) => one.free > 0.5 && reaches(one))
    const short = free > 0.5 && !next && !enough
    const loose = short ? `${much(free)} free, none long enough` : `${much(free)} free`
    const parts = [kept > 0.5 && `${much(kept)} kept`, free > 0.5 && !enough && loose].filter(Boolean)
    const said = parts.length ? parts.join(', ') : there.length ? 'kept for others' : 'none'
    return { need, much: much(need.amount), said, enough, next, kept }
  }),
)
function keep(line: (typeof lines.value)[number]) {
  const one = line.next!
  const amount = keptOf(one) + Math.min(one.free, line.need.amount - line.kept)
  void shelf.act(onShelf.reserve(one.piece.id, openBuild.here.id, amount))
}
</script>

<template>
  <section v-if="lines.length && shelf.latest" aria-label="On the shelf">
    <h2>On the shelf</h2>
    <table class="numbers">
      <tbody>
        <tr v-for="line in lines" :key="line.need.article.name" :data-need="line.need.article.name">
          <td>{{ line.much }} {{ line.need.article.label }}</td>
          <td class="n in" :class="{ good: line.enough }">{{ line.said }}</td>
          <td class="n">
            <v-btn
              v-if="!line.enough && line.next"
              size="x-small"
              variant="text"
              :aria-label="`keep: ${line.need.article.label}`"
              @click="keep(line)"
              >keep</v-btn
            >
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
h2 {
  margin: 14px 0 2px;
}
.good {
  color: var(--settled);
}
</style>
