<script setup lang="ts">
import { computed } from 'vue'
import { api, ofBuild } from '../../api/client'
import type { ClothLaid, OnShelf } from '../../api/types'
import { across } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'

// What there is of a cloth: which pieces are to be cut from, which of them are used, and keeping those for this build.
const props = defineProps<{ laid: ClothLaid; label: string }>()
const emit = defineEmits<{ kept: [] }>()
const openBuild = useOpenBuild()
const notices = useNotices()
const settings = useSettings()
const used = (shelf: OnShelf) => props.laid.uses[shelf.piece.id]?.amount ?? 0
const size = (shelf: OnShelf) => {
  const span = (axis: 0 | 1) => {
    const places = shelf.shape.map((spot) => spot[axis])
    return Math.max(...places) - Math.min(...places)
  }
  return across(shelf.measure === 'length' ? shelf.free : span(0), span(1), settings.unit)
}
const kept = (shelf: OnShelf) => shelf.reserved.find((mine) => mine.build === openBuild.here.id)?.amount ?? 0
const left = (shelf: OnShelf) => openBuild.build.cut.leave.includes(shelf.piece.id)
const told = (shelf: OnShelf) => (kept(shelf) ? 'kept' : used(shelf) ? 'used' : '')
function use(one: OnShelf, now: boolean) {
  const rest = openBuild.build.cut.leave.filter((id) => id !== one.piece.id)
  const value = now ? rest : [...rest, one.piece.id]
  void openBuild.edit([{ at: 'cut.leave', value }], now ? 'To be cut from' : 'Not to be cut from')
}
const toKeep = computed(() => props.laid.at_hand.filter((one) => used(one) > kept(one) + 0.5))
async function keep() {
  const amounts = Object.fromEntries(toKeep.value.map((one) => [one.piece.id, used(one)]))
  try {
    await api.POST('/api/builds/{build_id}/reserve', { ...ofBuild(openBuild.here.id), body: { amounts } })
    emit('kept')
    notices.tell('Kept for this build.')
  } catch (error) {
    notices.complain(error)
  }
}
</script>

<template>
  <section :aria-label="`${label} at hand`">
    <h2>{{ label }} at hand</h2>
    <table class="numbers" aria-label="Cloth at hand">
      <tbody>
        <tr v-for="one in laid.at_hand" :key="one.piece.id" :data-at-hand="one.piece.id">
          <td>
            <label class="size"
              ><input
                type="checkbox"
                :checked="!left(one)"
                :aria-label="`Cut from ${one.piece.where || one.piece.label}, ${size(one)}`"
                @change="use(one, ($event.target as HTMLInputElement).checked)"
              />
              <span class="in">{{ size(one) }}</span></label
            >
          </td>
          <td class="small">{{ [one.piece.where, one.piece.lot, one.piece.note].filter(Boolean).join(', ') }}</td>
          <td class="n small">{{ told(one) }}</td>
        </tr>
      </tbody>
    </table>
    <template v-if="toKeep.length">
      <p class="soft small">Some of it is free: keep it for this build, or one that is needed first gets it.</p>
      <v-btn size="small" variant="outlined" @click="keep">Keep it for this build</v-btn>
    </template>
  </section>
</template>

<style scoped>
h2 {
  margin: 14px 0 4px;
}
.size {
  white-space: nowrap;
}
p {
  margin: 4px 0;
}
</style>
