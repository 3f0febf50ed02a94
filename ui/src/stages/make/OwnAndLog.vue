<script setup lang="ts">
import { computed, ref } from 'vue'
import type { MakePlan } from '../../api/types'
import AddPhoto from '../../parts/AddPhoto.vue'
import { shortDay } from '../../parts/words'
import { useOpenBuild } from '../../stores/openBuild'
import { useMakeCommands } from '../../commands/make'

// Steps of her own, steps left out, and what was logged; minutes written down after.
const props = defineProps<{ make: MakePlan; today: string; picked: string }>()
const openBuild = useOpenBuild()
const commands = useMakeCommands()
const kept = computed(() => openBuild.build.make)
const names = computed(() => new Map(props.make.steps.map((step) => [step.step.key, step.step.name])))
const nameOf = (key: string) => names.value.get(key) ?? kept.value.own.find((one) => one.key === key)?.name ?? key
const log = computed(() => kept.value.log.map((one, at) => ({ ...one, at })).reverse())
const logged = computed(() => log.value.reduce((sum, one) => sum + one.minutes, 0))
const all = ref(false)
const adding = ref(false)
const own = ref({ name: '', minutes: '30', after: '' })
const writing = ref(false)
const entry = ref({ minutes: '', on: props.today, note: '', mishap: '' })
const saidAt = (place: string, field: string) =>
  Object.entries(openBuild.errors).find(
    ([at]) => at === field || new RegExp(`(^|\\.)${place}\\.(.*\\.)?${field}$`).test(at),
  )?.[1]
async function keepOwn() {
  const given = { name: own.value.name, minutes: own.value.minutes, after: own.value.after ? [own.value.after] : [] }
  if (!(await commands.keepOwn(given))) return
  own.value = { name: '', minutes: '30', after: '' }
  adding.value = false
}
async function keepEntry() {
  const { minutes, on, note, mishap } = entry.value
  const given = { step: props.picked, minutes, on, note, mishap }
  if (!(await commands.keepEntry(given))) return
  entry.value = { minutes: '', on: props.today, note: '', mishap: '' }
  writing.value = false
}
</script>

<template>
  <section aria-label="The log">
    <h2>Log</h2>
    <p v-if="log.length" class="small">{{ (logged / 60).toFixed(1) }} hours so far.</p>
    <ul class="entries">
      <li v-for="one in all ? log : log.slice(0, 4)" :key="one.at">
        {{ shortDay(one.on) }}, {{ Math.round(one.minutes) }} min: {{ nameOf(one.step) }}
        <span v-if="one.note" class="soft">“{{ one.note }}”</span>
        <span v-if="one.mishap" class="wrong">went wrong: {{ one.mishap }}</span>
        <span v-if="one.photos.length" class="shots">
          <a v-for="(photo, i) in one.photos" :key="i" :href="`/api/pictures/${photo.id}`" target="_blank"
            ><img :src="`/api/pictures/${photo.id}`" :alt="photo.name || `photo of ${nameOf(one.step)}`"
          /></a>
        </span>
        <AddPhoto
          v-if="one.photos.length < 8"
          label="photo …"
          @take="(photo) => openBuild.set(`make.log.${one.at}.photos`, [...one.photos, photo])"
        />
        <button
          type="button"
          class="ask"
          :aria-label="`take out: ${shortDay(one.on)}, ${nameOf(one.step)}`"
          @click="commands.takeEntry(one.at)"
        >
          take out
        </button>
      </li>
    </ul>
    <button v-if="log.length > 4" type="button" class="ask" @click="all = !all">
      {{ all ? 'The last four' : `All ${log.length}` }}
    </button>
    <button v-if="!writing" type="button" class="ask block" @click="writing = true">Write minutes down …</button>
    <form v-else class="fields" @submit.prevent="keepEntry">
      <p class="small">On “{{ nameOf(picked) }}”</p>
      <v-text-field
        v-model="entry.minutes"
        label="minutes"
        :error-messages="saidAt('(log|entry)', 'minutes')"
        autofocus
      />
      <v-text-field v-model="entry.on" type="date" label="on" :error-messages="saidAt('(log|entry)', 'on')" />
      <v-text-field v-model="entry.note" label="a note" maxlength="600" />
      <v-text-field v-model="entry.mishap" label="what went wrong" maxlength="200" />
      <div class="acts">
        <v-btn type="submit" size="small" variant="outlined">Write it down</v-btn>
        <v-btn size="small" variant="text" @click="writing = false">Leave it</v-btn>
      </div>
    </form>
    <template v-if="kept.left_out.length">
      <h2>Left out</h2>
      <ul class="entries">
        <li v-for="one in kept.left_out" :key="one.step">
          {{ one.step }}<span v-if="one.because" class="soft">: {{ one.because }}</span>
          <button type="button" class="ask" @click="commands.takeIn(one.step)">in again</button>
        </li>
      </ul>
    </template>
    <h2>Steps of your own</h2>
    <ul class="entries">
      <li v-for="one in kept.own" :key="one.key">
        {{ one.name }}, {{ Math.round(one.minutes) }} min
        <button type="button" class="ask" @click="commands.takeOwn(one.key)">take out</button>
      </li>
    </ul>
    <button v-if="!adding" type="button" class="ask block" @click="adding = true">One more …</button>
    <form v-else class="fields" @submit.prevent="keepOwn">
      <v-text-field v-model="own.name" label="what" :error-messages="saidAt('own', 'name')" autofocus />
      <v-text-field v-model="own.minutes" label="minutes" :error-messages="saidAt('own', 'minutes')" />
      <v-select
        v-model="own.after"
        label="after"
        clearable
        :items="[...names].map(([value, title]) => ({ value, title }))"
        :error-messages="saidAt('own', 'after')"
      />
      <div class="acts">
        <v-btn type="submit" size="small" variant="outlined" :disabled="!own.name.trim()">Put it in</v-btn>
        <v-btn size="small" variant="text" @click="adding = false">Leave it</v-btn>
      </div>
    </form>
  </section>
</template>

<style scoped>
h2 {
  margin: 16px 0 4px;
}
p {
  margin: 3px 0;
}
.log li {
  padding: 2px 0;
  border-bottom: 1px solid var(--line);
}
.shots {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
}
.shots img {
  height: 54px;
  display: block;
}
.block {
  display: block;
  margin-top: 4px;
}
.wrong {
  color: var(--caution);
}
</style>
