<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Past } from '../../api/types'
import { get } from '../../api/client'
import { useDesk } from '../../desk'

const desk = useDesk()
const brief = computed(() => desk.build!.brief)
const draft = ref({ name: '', character: '', note: '', wearer: '' })
watch(
  () => desk.build,
  (build) => build && (draft.value = { name: build.brief!.name!, character: build.brief!.character!, note: build.brief!.note!, wearer: build.wearer!.name! }),
  { immediate: true },
)
const past = ref<Past[]>([])
watch(
  () => desk.sheet?.revision,
  async () => (past.value = await get<Past[]>(`/builds/${desk.sheet!.id}/history`).catch(() => [])),
  { immediate: true },
)
const when = (moment: string) =>
  new Date(moment.endsWith('Z') || moment.includes('+') ? moment : `${moment}Z`).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
function keepName() {
  const name = draft.value.name.trim()
  if (!name) draft.value.name = brief.value!.name!
  else if (name !== brief.value!.name) desk.set('brief.name', name)
}
</script>

<template>
  <div class="brief">
    <section class="sheet">
      <h1>Brief</h1>
      <v-text-field v-model="draft.name" label="Name" @change="keepName" />
      <v-text-field v-model="draft.character" label="Character, and where from" @change="desk.set('brief.character', draft.character)" />
      <div class="two">
        <v-text-field v-model="draft.wearer" label="Who wears it" @change="desk.set('wearer.name', draft.wearer)" />
        <v-text-field
          type="date" label="Day it is needed" :model-value="brief!.needed_on ?? ''" :error-messages="desk.saidAt('brief.needed_on')?.text"
          @change="(event: Event) => desk.set('brief.needed_on', (event.target as HTMLInputElement).value || null)"
        />
      </div>
      <v-textarea v-model="draft.note" label="What the eye must see, what it must stand" rows="5" auto-grow @change="desk.set('brief.note', draft.note)" />
      <p class="caution">
        Fuseau is a workshop aid and gives no medical advice. In pregnancy, after surgery, with hernia, reflux, heart,
        lung, spine or circulation trouble, or while still growing: no reduction unless a doctor has agreed.
      </p>
    </section>
    <section class="past" aria-label="History">
      <h2>Since the first day</h2>
      <ol>
        <li v-for="one in past" :key="one.revision" :class="{ present: one.present }">
          <span class="label">{{ one.label }}</span>
          <span class="soft small">{{ when(one.made_at) }}</span>
          <v-btn v-if="!one.present" size="x-small" variant="text" :aria-label="`Back to here: ${one.label}`" @click="desk.restore(one.revision)">Back to here</v-btn>
          <b v-else class="small">now</b>
        </li>
      </ol>
    </section>
  </div>
</template>

<style scoped>
.brief { display: grid; grid-template-columns: minmax(0, 1fr) 400px; min-height: 0; }
.sheet { padding: 26px 34px; display: grid; gap: 16px; align-content: start; max-width: 680px; overflow-y: auto; }
.two { display: grid; grid-template-columns: 1fr 1fr; gap: 14px; }
.past { border-left: 1px solid var(--line); padding: 26px 18px; overflow-y: auto; background: var(--bench); }
ol { list-style: none; margin: 12px 0; padding: 0; }
li { display: grid; grid-template-columns: minmax(0, 1fr) auto 96px; gap: 8px; align-items: center; padding: 5px 0; border-bottom: 1px solid var(--line); }
li b { text-align: center; color: var(--settled); } .present .label { font-weight: 650; }
.caution { border-left: 4px solid var(--caution); padding-left: 10px; margin: 0; }
</style>
