<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { answer, api, asFile } from '../../api/client'
import type { BoughtRow, OrderLine, ShoppingSeen, ToBuy } from '../../api/types'
import ReadCsv from '../../parts/ReadCsv.vue'
import TheSlip from '../../parts/TheSlip.vue'
import ThinkingBar from '../../parts/ThinkingBar.vue'
import { hardware, run, shortDay } from '../../parts/words'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { useShelf } from '../../stores/shelf'
import OwnOrder from './OwnOrder.vue'
import { onShelf } from '../../commands/shelf'
import { useLongAnswer } from '../../parts/useLongAnswer'
import { certain } from '../../parts/certain'

// What is to be bought for all builds, by the day by which it has to be ordered; and ordering it.
const settings = useSettings()
const shelf = useShelf()
const notices = useNotices()
const thought = useLongAnswer<ShoppingSeen>({
  ask: () => api.GET('/api/shopping'),
  underway: () => api.GET('/api/shopping/underway'),
  what: 'shopping',
  stop: () => api.DELETE('/api/shopping/underway'),
})
const { found: seen, busy, failed, ask: load } = thought
const picked = ref<Record<string, boolean | undefined>>({})
const shopOf = ref<Record<string, number | undefined>>({})
const openList = (file: File) => answer(api.POST('/api/shopping/csv', { body: file, ...asFile }))
onMounted(() => {
  void load()
  void shelf.load()
})

const keyOf = (line: ToBuy) => `${line.article.sort} ${line.article.name} ${line.each_mm ?? ''}`
const lines = computed(() => seen.value?.shopping.lines ?? [])
const names = computed(() => new Map((seen.value?.builds ?? []).map((build) => [build.name, build.label])))
const chosen = (line: ToBuy) => line.choices.at(shopOf.value[keyOf(line)] ?? line.chosen ?? 0)
const much = (line: ToBuy) => {
  if (line.article.measure === 'length' && !line.each_mm) return run(line.amount, settings.unit)
  return line.each_mm ? `${line.amount} × ${hardware(line.each_mm, settings.unit)}` : String(Math.round(line.amount))
}
const packs = (line: ToBuy) => {
  const one = chosen(line)
  if (!one) return ''
  const { pack } = one.offer
  const held = line.article.measure === 'length' && !line.each_mm ? run(pack, settings.unit) : String(pack)
  return pack === 1 ? `${one.packs}` : `${one.packs} × ${held}`
}
const when = (line: ToBuy) => {
  if (!line.order_by) return ''
  return line.order_by < today.value ? `${shortDay(line.order_by)}: late` : shortDay(line.order_by)
}
const today = computed(() => seen.value?.today ?? '')
const late = (line: ToBuy) => !!line.order_by && line.order_by <= today.value
const groups = computed(() => {
  const now = lines.value.filter((line) => line.order_by && line.order_by <= today.value)
  const later = lines.value.filter((line) => !now.includes(line))
  return [
    { title: 'To order today', lines: now },
    { title: 'Can wait', lines: later },
  ].filter((group) => group.lines.length)
})
const basket = computed(() => {
  const found = new Map<string, ToBuy[]>()
  for (const line of lines.value) {
    const one = chosen(line)
    if (one && picked.value[keyOf(line)]) found.set(one.offer.shop, [...(found.get(one.offer.shop) ?? []), line])
  }
  return [...found].map(([shop, lines]) => ({
    shop,
    lines,
    price: lines.reduce((sum, line) => sum + (chosen(line)?.price ?? 0), 0),
    here:
      lines
        .flatMap((line) => chosen(line)?.here_on ?? [])
        .sort()
        .at(-1) ?? '',
  }))
})
// --- shops of her own
const elsewhere = ref(false)
const ticked = computed(() => lines.value.filter((line) => picked.value[keyOf(line)]))
const ownLines = computed(() =>
  ticked.value.map((line): OrderLine => {
    const { article, each_mm, width_mm, builds, amount } = line
    return { article, packs: 1, pack: amount, each_mm, width_mm, price: 0, builds }
  }),
)
async function wroteDown() {
  elsewhere.value = false
  picked.value = {}
  await load()
}
const byShop = (rows: BoughtRow[]) => {
  const found = new Map<string, BoughtRow[]>()
  for (const row of rows) found.set(row.shop, [...(found.get(row.shop) ?? []), row])
  return [...found]
}
const written = ref(new Set<string>())
async function wroteRows(shop: string, rows: BoughtRow[], leave: () => void) {
  written.value = new Set([...written.value, shop])
  if (byShop(rows).every(([one]) => written.value.has(one))) {
    leave()
    written.value = new Set()
  }
  await load()
}
const orders = computed(() => (shelf.latest?.orders ?? []).filter((order) => order.order.state === 'placed'))
async function order(shop: string) {
  const lines = basket.value.find((one) => one.shop === shop)?.lines ?? []
  const given = lines.map((line) => {
    const { offer, packs } = certain(chosen(line), 'where it is bought')
    return {
      article: line.article,
      packs,
      pack: offer.pack,
      each_mm: offer.each_mm,
      width_mm: offer.width_mm,
      price: offer.price,
      builds: line.builds,
    }
  })
  if (await shelf.act(onShelf.order({ shop, lines: given }))) {
    for (const line of lines) delete picked.value[keyOf(line)]
    notices.tell(`Ordered from ${shop}.`)
    await load()
  }
}
</script>

<template>
  <div class="page with-slip place">
    <section class="main" aria-label="The shopping list">
      <div class="head">
        <h1>Shopping</h1>
        <span class="soft small">for every build on the table, less what is on the shelf and what is coming</span>
        <span class="spring" />
      </div>
      <ThinkingBar v-if="busy || failed" label="Laying every cloth, and counting" :thought="thought" />
      <p v-if="seen && !lines.length" class="none">Nothing is lacking.</p>
      <table v-for="group in groups" :key="group.title" class="numbers" :aria-label="group.title">
        <caption>
          {{
            group.title
          }}
        </caption>
        <colgroup>
          <col />
          <col class="c-much" />
          <col class="c-from" />
          <col class="c-packs" />
          <col class="c-price" />
          <col class="c-when" />
        </colgroup>
        <thead>
          <tr>
            <th>what</th>
            <th class="n">needed</th>
            <th>from</th>
            <th class="n">packs</th>
            <th class="n">price</th>
            <th class="n">order by</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="line in group.lines" :key="keyOf(line)" :data-buy="line.article.name">
            <td>
              <label
                ><input v-model="picked[keyOf(line)]" type="checkbox" :disabled="!chosen(line)" />
                <b>{{ line.article.label }}</b></label
              >
              <div class="soft small">
                {{ line.builds.map((build) => names.get(build)).join(', ')
                }}{{ line.spares ? `; ${line.spares} of them to spare` : '' }}
              </div>
              <div v-if="line.before.length" class="soft small">
                What lies free goes to {{ line.before.map((build) => names.get(build)).join(', ') }}, needed first.
              </div>
              <div v-if="line.instead.length" class="old small">
                In time nowhere; {{ line.instead.join(', ') }} would do instead.
              </div>
            </td>
            <td class="n in">{{ much(line) }}</td>
            <td>
              <select
                v-if="line.choices.length"
                v-model="shopOf[keyOf(line)]"
                :aria-label="`From whom: ${line.article.label}`"
              >
                <option
                  v-for="(choice, i) in line.choices"
                  :key="choice.offer.shop"
                  :value="i === line.chosen ? undefined : i"
                >
                  {{ choice.offer.shop }}, here {{ shortDay(choice.here_on) }}
                </option>
              </select>
              <span v-else class="old">nobody has it</span>
            </td>
            <td class="n in">{{ packs(line) }}</td>
            <td class="n">{{ chosen(line)?.price.toFixed(2) }}</td>
            <td class="n" :class="{ old: late(line) }">{{ when(line) }}</td>
          </tr>
        </tbody>
      </table>
    </section>
    <TheSlip :title="basket.length ? 'To order' : 'Tick what to order'">
      <article v-for="one in basket" :key="one.shop" class="shop" :data-basket="one.shop">
        <h2>{{ one.shop }}</h2>
        <p class="in">{{ one.lines.map((line) => line.article.label).join(', ') }}</p>
        <p>
          <b>{{ one.price.toFixed(2) }}</b>, here by {{ shortDay(one.here) }}
        </p>
        <v-btn size="small" color="primary" @click="order(one.shop)">Order it</v-btn>
      </article>
      <template v-if="seen && ticked.length">
        <button v-if="!elsewhere" type="button" class="ask" @click="elsewhere = true">From a shop of your own …</button>
        <OwnOrder v-else :lines="ownLines" :today="seen.today" @done="wroteDown" />
      </template>
      <p v-if="seen && lines.length" class="soft small">All of the list: some {{ seen.shopping.price.toFixed(0) }}.</p>
      <template v-if="orders.length">
        <h2>Under way</h2>
        <ul aria-label="Orders under way">
          <li v-for="placed in orders" :key="placed.order.id">
            {{ placed.order.shop }}: {{ placed.order.lines.map((line) => line.article.label).join(', ') }},
            {{ placed.here ? 'the parcel is here' : `here on ${shortDay(placed.order.due_on)}` }}
          </li>
        </ul>
        <p><router-link to="/shelf">To the shelf</router-link></p>
      </template>
      <section v-if="seen" aria-label="The list as a sheet">
        <h2>As a sheet</h2>
        <ReadCsv :open="openList" label="CSV of a shopping list">
          <template #beside>
            <v-btn size="small" variant="outlined" href="/api/shopping.csv" download="">Save as CSV</v-btn>
          </template>
          <template #default="{ good, leave }">
            <template v-for="[shop, rows] in byShop(good as BoughtRow[])" :key="shop">
              <OwnOrder
                v-if="!written.has(shop)"
                :shop="shop"
                :lines="rows.flatMap((row) => row.line ?? [])"
                :said="rows.map((row) => row.said)"
                :today="seen.today"
                @done="wroteRows(shop, good as BoughtRow[], leave)"
              />
            </template>
          </template>
        </ReadCsv>
      </section>
      <p class="soft small">
        The shops in the list are made up, and stand in for yours: nothing leaves this machine. What you order in your
        own is written down here, and comes onto the shelf from there.
      </p>
    </TheSlip>
  </div>
</template>

<style scoped>
td {
  vertical-align: top;
}
table {
  table-layout: fixed;
  min-width: 700px;
}
.c-much {
  width: 72px;
}
.c-from {
  width: 232px;
}
.c-packs {
  width: 96px;
}
.c-price {
  width: 62px;
}
.c-when {
  width: 100px;
}
td:nth-child(3),
th:nth-child(3) {
  padding-left: 14px;
}
select {
  font: inherit;
  font-size: 0.92rem;
  width: 100%;
  color: inherit;
  background: var(--paper);
  border: 1px solid var(--line);
  padding: 2px 4px;
}
.old {
  color: var(--caution);
}
.none {
  padding: 40px 0;
}
.shop {
  border-left: 3px solid var(--metal);
  padding: 0 0 6px 10px;
  margin: 8px 0;
}
h2 {
  margin: 12px 0 2px;
}
p {
  margin: 3px 0 6px;
}
ul {
  padding-left: 16px;
  margin: 4px 0;
}
a {
  color: var(--letout);
}
</style>
