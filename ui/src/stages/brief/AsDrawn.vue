<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { answer, api, ofBuild, Refused } from '../../api/client'
import type { DrawnSeen, LinesSeen } from '../../api/types'
import { hardware, SEEN_LABELS } from '../../parts/words'
import HerOutline from './HerOutline.vue'
import PadsBox from './PadsBox.vue'
import PictureLines from './PictureLines.vue'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { entriesOf } from '../../parts/entries'

// What a picture asks of her body: three ways to come near it, what each squeezes and pads, and how near it comes.
const openBuild = useOpenBuild()
const settings = useSettings()
const seen = ref<DrawnSeen['pictures']>([])
const lines = ref<LinesSeen['pictures']>([])
const linesOf = (picture: string) => lines.value.find((line) => line.picture === picture)
const failed = ref('')
let turn = 0
watch(
  () => [openBuild.latest?.id, openBuild.latest?.revision, settings.unit],
  async () => {
    if (!openBuild.latest) return
    const mine = ++turn
    try {
      const [found, read] = await Promise.all([
        answer(api.GET('/api/builds/{build_id}/drawn', ofBuild(openBuild.latest.id))),
        answer(api.GET('/api/builds/{build_id}/lines', ofBuild(openBuild.latest.id))),
      ])
      if (mine === turn) [seen.value, lines.value] = [found.pictures, read.pictures]
      failed.value = ''
    } catch (error) {
      failed.value = error instanceof Refused ? error.trouble.sentence : 'It could not be worked out.'
    }
  },
  { immediate: true },
)
const pictures = computed(() =>
  seen.value.map((read) => {
    const at = openBuild.build.brief.pictures.findIndex((picture) => picture.id === read.picture)
    return { read, at, picture: openBuild.build.brief.pictures.find((picture) => picture.id === read.picture) }
  }),
)
/** By how much pictures differ at each level, where that is more than a hair. */
const apart = (read: Read) =>
  entriesOf(read.spreads)
    .filter(([, share]) => share >= 0.01)
    .map(([name, share]) => `${level(name).toLowerCase()} by ${percent(share)}`)
    .join(', ')
const percent = (share: number) => `${(100 * share).toFixed(1)}\u00a0%`
const level = (name: string) => (SEEN_LABELS as Record<string, string | undefined>)[name] ?? name
type Read = DrawnSeen['pictures'][number]
const changesFor = (read: Read, way: string) => read.makes_so[way] ?? []
const restOf = (read: Read, way: string) => read.rest[way] ?? []
const turnWord = (deg: number) =>
  deg === 180
    ? 'from behind'
    : deg
      ? `${Math.abs(deg)}°, her ${deg > 0 ? 'left' : 'right'} is seen`
      : '0°, from the front'
const WIDE = 260
const HIGH = 90
const line = (curve: number[][], which: 1 | 2) => {
  const most = Math.max(...curve.map((one) => one[1]), 1)
  const far = curve[curve.length - 1][0]
  return curve.map((one) => `${(WIDE * one[0]) / far},${HIGH - (HIGH - 8) * (one[which] / most)}`).join(' ')
}
const marked = (at: number) =>
  (openBuild.build.brief.pictures[at]?.marks ?? [])
    .filter((mark) => mark.kind.endsWith('across'))
    .map((mark) => mark.kind.replace(' across', '').replace(' ', '_').replace('chest', 'high_bust'))
    .filter((name, i, all) => all.indexOf(name) === i)
</script>

<template>
  <section aria-label="As drawn?" class="drawn">
    <p v-if="failed" class="bad" role="alert">{{ failed }}</p>
    <p v-if="!pictures.length" class="soft">Waist and hips are marked across on no picture yet.</p>
    <article v-for="{ read, at, picture } in pictures" :key="read.picture">
      <h2>{{ read.together ? `${read.together} pictures together` : picture?.name || 'The picture' }}</h2>
      <p v-if="read.together" class="soft small">
        {{ apart(read) ? `They differ: ${apart(read)}.` : 'They agree.' }}
      </p>
      <div v-else class="how">
        <v-select
          label="The figure is turned"
          :model-value="picture?.turned_deg ?? 0"
          :items="[0, 20, 45, -20, -45, 180].map((value) => ({ value, title: turnWord(value) }))"
          @update:model-value="(value: number) => openBuild.set(`brief.pictures.${at}.turned_deg`, value)"
        />
        <v-select
          label="The figure is"
          :model-value="picture?.made ?? 'drawn'"
          :items="['drawn', 'filmed']"
          @update:model-value="(value: string) => openBuild.set(`brief.pictures.${at}.made`, value)"
        />
        <v-select
          label="What stays as it is"
          :model-value="picture?.stays ?? null"
          :items="[
            { value: null, title: 'all of it, as near as goes' },
            ...marked(at)
              .filter((name) => name !== 'waist')
              .map((name) => ({ value: name, title: level(name) })),
          ]"
          @update:model-value="(value: string | null) => openBuild.set(`brief.pictures.${at}.stays`, value)"
        />
      </div>
      <p v-if="read.fault" class="caution">{{ read.fault }}</p>
      <p v-if="read.unknown.length" class="soft small">
        Not measured: {{ read.unknown.map((name) => level(name).toLowerCase()).join(', ') }}.
      </p>
      <template v-if="read.found">
        <p>
          The {{ picture?.made ?? 'drawn' }} waist is {{ Math.round(100 * read.found.drawn_share)
          }}<template v-if="read.found.drawn_spread >= 0.005">
            ± {{ Math.round(100 * read.found.drawn_spread) }}</template
          >
          % of the widest level, hers {{ Math.round(100 * read.found.hers_share) }} %.
        </p>
        <p v-for="one in read.says" :key="one" class="caution">{{ one }}</p>
        <ul class="offers" aria-label="Three ways">
          <li v-for="way in read.found.ways" :key="way.way" :data-way="way.way">
            <b>{{ way.way[0].toUpperCase() + way.way.slice(1) }}</b>: waist
            <span :class="{ past: way.reduction_share > (read.limit_share ?? 1) + 1e-6 }">{{
              way.reduction_share ? `${percent(way.reduction_share)} less` : 'as it is'
            }}</span><template v-if="way.spread_share >= 0.005"> (± {{ percent(way.spread_share) }})</template
            ><template v-for="[name, mm] in entriesOf(way.padding_mm)" :key="name"
              >, {{ level(name).toLowerCase() }} padded by {{ hardware(mm, settings.unit) }} on each side</template
            >. <span class="soft">It differs by {{ percent(way.likeness_percent / 100) }}.</span>{{ ' '
            }}<span v-if="!changesFor(read, way.way).length" class="so">It is aimed for.</span>
            <button
              v-else
              type="button"
              class="ask"
              @click="openBuild.edit([...changesFor(read, way.way)], `Aimed as drawn, ${way.way}`)"
            >
              aim for it<span class="sr">: {{ way.way }}</span>
            </button>
            <p v-for="one in restOf(read, way.way)" :key="one" class="soft small">{{ one }}</p>
          </li>
        </ul>
        <svg
          :viewBox="`-4 -4 ${WIDE + 8} ${HIGH + 24}`"
          role="img"
          aria-label="How near, over the reduction: by squeezing alone, and with padding"
        >
          <line x1="0" :y1="HIGH" :x2="WIDE" :y2="HIGH" class="base" />
          <polyline :points="line(read.found.curve as number[][], 1)" class="alone" />
          <polyline :points="line(read.found.curve as number[][], 2)" class="padded" />
          <text x="0" :y="HIGH + 15">0 %</text>
          <text :x="WIDE" :y="HIGH + 15" text-anchor="end">
            {{ Math.round(100 * read.found.curve[read.found.curve.length - 1][0]) }} % less waist
          </text>
        </svg>
        <p class="small">
          <i class="alone" /> squeezing alone &nbsp; <i class="padded" /> with padding; lower is nearer
        </p>
      </template>
      <PictureLines v-if="linesOf(read.picture)" :lines="linesOf(read.picture)!" />
    </article>
    <HerOutline />
    <PadsBox />
  </section>
</template>

<style scoped>
.drawn {
  position: relative;
  padding: 4px 0;
}
.how {
  display: grid;
  grid-template-columns: minmax(0, 1fr);
  gap: 8px;
  margin: 6px 0;
}
p {
  margin: 5px 0;
}
.caution {
  border-left: 4px solid var(--caution);
  padding-left: 10px;
}
.so {
  color: var(--letout);
  font-weight: 600;
}
.past {
  color: var(--takein);
  font-weight: 650;
}
svg {
  width: 100%;
  max-width: 300px;
  margin-top: 8px;
}
polyline {
  fill: none;
  stroke-width: 2;
}
polyline.alone {
  stroke: var(--takein);
  stroke-dasharray: 5 3;
}
polyline.padded {
  stroke: var(--letout);
}
.base {
  stroke: var(--line);
}
text {
  font-size: 11px;
  fill: var(--ink);
}
i {
  display: inline-block;
  width: 18px;
  border-top: 2px solid var(--letout);
  vertical-align: middle;
}
i.alone {
  border-top: 2px dashed var(--takein);
}
.bad {
  color: var(--takein);
}
</style>
