<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { useRouter } from 'vue-router'
import { answer, api, ofBuild, Refused } from '../../api/client'
import type { CardSeen } from '../../api/types'
import MeasureFirst from '../../parts/MeasureFirst.vue'
import TheSlip from '../../parts/TheSlip.vue'
import { length, longDay, shortDay } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { workshop } from '../../stores/workshop'
import FlatOutlines from '../../parts/FlatOutlines.vue'
import CardPhotos from './CardPhotos.vue'
import OwnWords from './OwnWords.vue'
import WearForm from './WearForm.vue'

// The card, which fills itself; what she likes and would change; and each time it was worn.
const openBuild = useOpenBuild()
const settings = useSettings()
const notices = useNotices()
const seen = shallowRef<CardSeen>()
const failed = ref('')
let turn = 0
watch(
  () => [openBuild.latest?.id, openBuild.latest?.revision, settings.unit],
  async () => {
    if (!openBuild.latest) return
    const mine = ++turn
    try {
      const found = await answer(api.GET('/api/builds/{build_id}/record', ofBuild(openBuild.latest.id)))
      if (mine === turn) seen.value = found
      failed.value = ''
    } catch (error) {
      failed.value = error instanceof Refused ? error.trouble.sentence : 'It could not be worked out.'
    }
  },
  { immediate: true },
)
const card = computed(() => seen.value?.card)
const kept = computed(() => openBuild.build.record)
const mm = (value: number | null | undefined) => (value == null ? '' : length(value, settings.unit))
const GROUPS = [
  ['measures', 'Measures'],
  ['made of', 'Made of'],
  ['took', 'What it took'],
] as const
const groups = computed(() =>
  GROUPS.map(([group, title]) => ({
    group,
    title,
    facts: (card.value?.facts ?? []).filter((fact) => fact.group === group),
  })).filter((one) => one.facts.length),
)

const router = useRouter()
async function again() {
  try {
    const line = await workshop.duplicate(openBuild.here.id, true)
    await router.push(`/build/${line.id}/brief`)
  } catch (error) {
    notices.complain(error)
  }
}

const finish = () => openBuild.set('record.finished_on', seen.value?.today)
const notFinished = () => openBuild.set('record.finished_on', null)
const takeOut = (i: number) =>
  openBuild.set(
    'record.wears',
    kept.value.wears.filter((_, k) => k !== i),
  )
const wears = computed(() =>
  kept.value.wears.map((wear, at) => ({ ...wear, at })).sort((a, b) => a.on.localeCompare(b.on)),
)
const line = computed(() => {
  const gaps = card.value?.gaps ?? []
  if (gaps.length < 2) return ''
  const most = Math.max(...gaps.map((gap) => gap.gap_mm), 1)
  return gaps.map((gap, i) => `${26 + (248 * i) / (gaps.length - 1)},${70 - (55 * gap.gap_mm) / most}`).join(' ')
})
</script>

<template>
  <MeasureFirst v-if="!openBuild.plan.pattern" />
  <div v-else class="page with-slip">
    <section class="sheet" aria-label="The card" tabindex="0">
      <p v-if="failed" role="alert" class="bad">{{ failed }}</p>
      <article v-if="card" class="card">
        <header>
          <h1>{{ openBuild.build.brief.name }}</h1>
          <p>
            {{ card.kind }}<template v-if="card.version">, version {{ card.version }}</template
            >, for {{ card.wearer || 'the wearer' }}
          </p>
          <p v-if="openBuild.build.brief.character" class="soft">{{ openBuild.build.brief.character }}</p>
          <p :class="kept.finished_on ? 'good' : 'soft'">
            {{ kept.finished_on ? `Finished on ${longDay(kept.finished_on)}` : 'Not finished yet' }}
          </p>
        </header>
        <CardPhotos />
        <FlatOutlines :outlines="card.outlines" label="One half, laid flat" class="flat" />
        <section v-for="group in groups" :key="group.group" :class="group.group.replace(' ', '-')">
          <h2>{{ group.title }}</h2>
          <table class="numbers" :aria-label="group.title">
            <tbody>
              <tr v-for="fact in group.facts" :key="fact.name">
                <td>{{ fact.name }}</td>
                <td class="in" :class="{ n: group.group !== 'made of' }">{{ fact.value }}</td>
              </tr>
            </tbody>
          </table>
        </section>
        <section v-if="card.tried.length" aria-label="Mock-ups">
          <h2>Mock-ups</h2>
          <ul>
            <li v-for="(one, i) in card.tried" :key="i">
              Version {{ one.version }}<template v-if="one.gap_mm != null">, mean gap {{ mm(one.gap_mm) }}</template
              ><template v-if="one.note">: “{{ one.note }}”</template>
            </li>
          </ul>
        </section>
        <section aria-label="Worn">
          <h2>Worn</h2>
          <p v-if="!wears.length" class="soft">Not yet.</p>
          <svg v-if="line" viewBox="0 0 300 84" class="gaps" role="img" aria-label="The gap over its wears">
            <line x1="10" y1="70" x2="290" y2="70" />
            <polyline :points="line" />
            <text
              v-for="(gap, i) in card.gaps"
              :key="i"
              :x="26 + (248 * i) / (card.gaps.length - 1)"
              y="82"
              text-anchor="middle"
            >
              {{ mm(gap.gap_mm) }}
            </text>
          </svg>
          <p v-for="one in card.says" :key="one">{{ one }}</p>
          <ul>
            <li v-for="wear in wears" :key="wear.at">
              {{ shortDay(wear.on) }}<template v-if="wear.hours">, {{ wear.hours }} hours</template
              ><template v-if="wear.heat">, {{ wear.heat }}</template
              ><template v-if="wear.gap_mm != null">, gap {{ mm(wear.gap_mm) }}</template
              ><template v-if="wear.comfort">, {{ wear.comfort }}</template
              ><template v-if="wear.note">: “{{ wear.note }}”</template>
              <b v-if="wear.gave_way" class="bad"> gave way: {{ wear.gave_way }}</b>
              <button
                type="button"
                class="ask"
                :aria-label="`take out: worn ${shortDay(wear.on)}`"
                @click="takeOut(wear.at)"
              >
                take out
              </button>
            </li>
          </ul>
        </section>
      </article>
    </section>
    <TheSlip v-if="card" title="In your own words">
      <div class="acts top">
        <v-btn v-if="!kept.finished_on" size="small" color="primary" @click="finish">It is finished</v-btn>
        <v-btn
          size="small"
          variant="outlined"
          :href="`/api/builds/${openBuild.here.id}/card.pdf?paper=${settings.house.paper}`"
          download=""
          >Print the card</v-btn
        >
        <v-btn size="small" variant="text" :href="`/api/builds/${openBuild.here.id}/card.png`" download=""
          >As a picture</v-btn
        >
        <v-btn
          size="small"
          variant="text"
          :href="`/api/builds/${openBuild.here.id}/card.pdf?whole=true&paper=${settings.house.paper}`"
          download=""
          title="The card as PDF with the build in it: another Fuseau takes it in"
          >As one file to send</v-btn
        >
        <v-btn v-if="kept.finished_on" size="small" variant="outlined" @click="again">Make one like this, but …</v-btn>
        <v-btn v-if="kept.finished_on" size="small" variant="text" @click="notFinished"
          >It is not finished after all</v-btn
        >
      </div>
      <OwnWords at="likes" title="What you like" label="one thing" />
      <OwnWords at="would_change" title="What you would change" label="one thing to change" />
      <WearForm :today="seen?.today ?? ''" />
    </TheSlip>
  </div>
</template>

<style scoped>
.sheet {
  padding: 20px 26px 40px;
  overflow-y: auto;
  background: var(--bench);
  min-width: 0;
}
.card {
  background: var(--paper);
  border: 1px solid var(--line);
  padding: 22px 28px;
  max-width: 760px;
  display: grid;
  grid-template-columns: minmax(0, 1fr) minmax(0, 1fr);
  gap: 14px 30px;
  align-items: start;
}
header,
.card > section {
  grid-column: 1 / -1;
}
.card > .measures,
.card > .took {
  grid-column: auto;
}
.card > .made-of {
  order: 1;
}
.card > .made-of ~ section:not(.took) {
  order: 2;
}
.flat {
  grid-column: 1 / -1;
  height: 110px;
  max-width: 100%;
  justify-self: start;
}
.card > section {
  border-top: 1px solid var(--line);
  padding-top: 8px;
}
h2 {
  margin: 12px 0 4px;
  font-size: 1.05rem;
}
.card h2 {
  margin-top: 0;
}
p {
  margin: 3px 0;
}
ul {
  padding-left: 18px;
  margin: 4px 0;
}
td:first-child {
  color: var(--steel);
  white-space: nowrap;
  padding-right: 14px;
}
.gaps {
  width: 300px;
  height: 84px;
  max-width: 100%;
}
.gaps line {
  stroke: var(--line);
}
.gaps polyline {
  fill: none;
  stroke: var(--letout);
  stroke-width: 2;
}
.gaps text {
  font-size: 11px;
  fill: var(--ink);
}
.good {
  color: var(--settled);
}
.bad {
  color: var(--takein);
}
.acts {
  display: flex;
  gap: 8px;
}
.top {
  flex-wrap: wrap;
  margin-top: 6px;
}
@media (max-width: 899px) {
  .card {
    grid-template-columns: minmax(0, 1fr);
    padding: 14px;
  }
  .sheet {
    padding: 10px;
  }
}
</style>
