<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, Refused } from '../../api/client'
import type { SideBySide } from '../../api/types'
import { useSettings } from '../../stores/settings'

// Two cards side by side: what differs, and by how much.
const props = defineProps<{ first: string; second: string }>()
defineEmits<{ swap: []; leave: [] }>()
const settings = useSettings()
const side = ref<SideBySide>()
const failed = ref('')
const all = ref(false)
watch(
  () => [props.first, props.second, settings.unit],
  async () => {
    const query = { first: props.first, second: props.second }
    try {
      side.value = await answer(api.GET('/api/cards/compare', { params: { query } }))
      failed.value = ''
    } catch (error) {
      failed.value = error instanceof Refused ? error.trouble.sentence : 'They could not be compared.'
    }
  },
  { immediate: true },
)
const lines = computed(() => (side.value?.lines ?? []).filter((line) => all.value || line.differs))
</script>

<template>
  <section class="two" aria-label="Two cards side by side">
    <p v-if="failed" class="bad" role="alert">{{ failed }}</p>
    <template v-if="side">
      <table class="numbers">
        <thead>
          <tr>
            <th>
              <span class="sr">what</span>
            </th>
            <th class="name">{{ side.first }}</th>
            <th class="name">{{ side.second }}</th>
            <th class="n">differs by</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in lines" :key="`${line.group} ${line.name}`" :class="{ same: !line.differs }">
            <td>{{ line.name }}</td>
            <td class="in">{{ line.first ?? '–' }}</td>
            <td class="in">{{ line.second ?? '–' }}</td>
            <td class="n in">
              <b>{{ line.by }}</b>
            </td>
          </tr>
        </tbody>
      </table>
      <p v-if="!lines.length" class="soft">Nothing differs.</p>
      <p class="acts row">
        <label class="toggle"><input v-model="all" type="checkbox" /> what is the same too</label>
        <button type="button" class="ask" @click="$emit('swap')">the other way round</button>
        <button type="button" class="ask" @click="$emit('leave')">put them back</button>
      </p>
    </template>
  </section>
</template>

<style scoped>
.two {
  border: 1px solid var(--line);
  border-top: 4px solid var(--metal);
  padding: 10px 18px;
  margin-bottom: 14px;
  max-width: 900px;
}
table {
  table-layout: fixed;
}
th:first-child {
  width: 26%;
}
th:last-child {
  width: 14%;
}
.numbers .name {
  color: var(--ink);
  font-weight: 650;
  font-size: 1rem;
}
td:first-child,
.same td {
  color: var(--steel);
}
.acts {
  gap: 18px;
  margin: 8px 0 0;
}
.bad {
  color: var(--takein);
}
</style>
