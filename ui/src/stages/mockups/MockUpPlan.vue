<script setup lang="ts">
import { computed } from 'vue'
import type { Plan } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { hardware } from '../../parts/words'

// What the next mock-up has to be, what it can do without, where to look, and how it differs from the final.
const props = defineProps<{ plan: NonNullable<Plan['mock_up_plan']> }>()
const openBuild = useOpenBuild()
const settings = useSettings()
const wanting = computed(() => props.plan.parts.flatMap((part) => part.changes))
const signed = (mm: number) => `${mm < 0 ? '−' : '+'}${hardware(Math.abs(mm), settings.unit)}`
const differs = computed(() =>
  [
    { what: 'gap', mm: openBuild.build.back.laced ? props.plan.differs.gap_mm : 0, why: '' },
    { what: 'bow', mm: props.plan.differs.bow_mm, why: 'softer edges' },
    { what: 'stretch', mm: props.plan.differs.stretch_mm, why: 'softer cloth' },
    { what: 'room inside', mm: props.plan.differs.take_up_mm, why: 'fewer layers' },
  ].filter((one) => Math.abs(one.mm) >= 0.5),
)
</script>

<template>
  <section aria-label="The mock-up">
    <dl>
      <template v-for="part in plan.parts" :key="part.part"
        ><dt>{{ part.part }}</dt>
        <dd>
          <b>{{ part.what }}</b><span class="soft">: {{ part.why }}</span>
        </dd></template
      >
    </dl>
    <v-btn v-if="wanting.length" size="small" variant="outlined" @click="openBuild.edit(wanting, 'Mock-up planned')"
      >Make it so</v-btn
    >
    <p v-for="one in plan.look_at" :key="one" class="look">{{ one }}</p>
    <p class="soft">Leave out: {{ plan.leave_out.join(', ') }}.</p>
    <table v-if="differs.length" class="numbers" aria-label="Against the final">
      <thead>
        <tr>
          <th>Against the final garment</th>
          <td />
        </tr>
      </thead>
      <tbody>
        <tr v-for="differ in differs" :key="differ.what">
          <td>
            {{ differ.what }} <span class="soft small">{{ differ.why }}</span>
          </td>
          <td class="n in">
            <b>{{ signed(differ.mm) }}</b>
          </td>
        </tr>
      </tbody>
    </table>
  </section>
</template>

<style scoped>
dl {
  margin: 8px 0;
  display: grid;
  gap: 5px;
}
dt {
  color: var(--steel);
  font-size: 0.85rem;
}
dd {
  margin: 0;
  line-height: 1.3;
}
.look {
  border-left: 4px solid var(--metal);
  padding-left: 10px;
  margin: 8px 0;
}
p {
  margin: 8px 0;
  line-height: 1.3;
}
</style>
