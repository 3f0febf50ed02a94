<script setup lang="ts">
import { computed, onMounted, ref } from 'vue'
import { answer, api, asFile, Refused } from '../../api/client'
import type { InBackup, KeptCopy } from '../../api/types'
import { longDay } from '../../parts/words'

// Everything in one file, and back: beside what is here, or in its place after it was asked.
const emit = defineEmits<{ brought: [said: string] }>()
const copies = ref<KeptCopy[]>([])
const chooser = ref<HTMLInputElement>()
const waiting = ref<{ name: string; holds: InBackup }>()
const asking = ref(false)
const busy = ref('')
const refused = ref('')
const load = async () => (copies.value = await answer(api.GET('/api/copies')).catch(() => []))
onMounted(load)

const told = (error: unknown) =>
  (refused.value = error instanceof Refused ? error.trouble.sentence : 'It could not be read.')

async function choose(event: Event) {
  const input = event.target as HTMLInputElement
  const file = input.files?.[0]
  input.value = ''
  if (!file) return
  refused.value = ''
  busy.value = `Reading ${file.name}`
  try {
    waiting.value = { name: file.name, holds: await answer(api.PUT('/api/backup', { body: file, ...asFile })) }
  } catch (error) {
    told(error)
    refused.value = `${file.name}: ${refused.value}`
  }
  busy.value = ''
}
async function bringIn(how: 'beside' | 'replace') {
  busy.value = 'Bringing it in'
  asking.value = false
  try {
    const came = await answer(api.POST('/api/backup', { body: { how } }))
    waiting.value = undefined
    emit(
      'brought',
      how === 'replace'
        ? `${many(came.builds, 'build')} are back. What was here is kept as ${came.copy_of_before}.`
        : `${many(came.builds + came.beside, 'build')} came in; ${came.here_already} were here already.`,
    )
    await load()
  } catch (error) {
    told(error)
  }
  busy.value = ''
}
function leave() {
  waiting.value = undefined
  asking.value = false
  void api.DELETE('/api/backup').catch(() => undefined)
}
const many = (count: number, what: string) => `${count} ${what}${count === 1 ? '' : 's'}`
const holds = computed(() => {
  const one = waiting.value?.holds
  if (!one) return ''
  const parts = [many(one.builds, 'build'), many(one.changes, 'change'), many(one.wearers, 'wearer')]
  return [...parts, many(one.pictures, 'picture')].join(', ')
})
const megabytes = (bytes: number) => `${(bytes / 1e6).toFixed(1)} MB`
const daily = computed(() => copies.value.filter((copy) => /-\d{4}-\d\d-\d\d\.db$/.test(copy.name)))
</script>

<template>
  <section class="backup" aria-label="Backup">
    <h2>Backup</h2>
    <div class="ways">
      <v-btn variant="outlined" size="small" href="/api/backup" download>Back everything up</v-btn>
      <v-btn variant="text" size="small" :disabled="!!busy" @click="chooser?.click()">Bring a backup in</v-btn>
      <input
        ref="chooser"
        type="file"
        accept=".fuseau-backup"
        class="hidden"
        aria-label="Backup file"
        @change="choose"
      />
      <span class="soft small">
        One file: every build with its history, pictures, wearers, settings.
        <template v-if="daily.length">
          A copy is kept every day for a week on this computer; the last of
          {{ longDay(daily[0].name.slice(-13, -3)) }}, {{ megabytes(daily[0].size_bytes) }}.
        </template>
      </span>
    </div>
    <v-progress-linear v-if="busy" indeterminate color="metal" :aria-label="busy" />
    <p v-if="refused" class="bad" role="alert">{{ refused }}</p>

    <v-dialog :model-value="!!waiting" max-width="560" persistent aria-label="A backup to bring in">
      <v-card v-if="waiting" :title="waiting.name">
        <v-card-text>
          <p>
            {{ holds
            }}<template v-if="waiting.holds.newest"
              >, last worked on {{ longDay(waiting.holds.newest.slice(0, 10)) }}</template
            >.
          </p>
          <p v-if="waiting.holds.new_builds.length"><b>Not here:</b> {{ waiting.holds.new_builds.join(', ') }}.</p>
          <p v-if="waiting.holds.changed_builds.length">
            <b>Here in another state:</b> {{ waiting.holds.changed_builds.join(', ') }}. Beside it, each comes in as a
            build of its own.
          </p>
          <p v-if="!waiting.holds.new_builds.length && !waiting.holds.changed_builds.length">
            All of its builds are here already.
          </p>
          <div v-if="waiting.holds.unfit.length">
            <p class="bad">
              {{ many(waiting.holds.unfit.length, 'build') }} of it can't be opened. Each comes in closed, and its line
              in the list says so; where an earlier state can be read, it is offered there.
            </p>
            <ul>
              <li v-for="(one, i) in waiting.holds.unfit" :key="i">
                <b>{{ one.name }}.</b> {{ one.why }}
              </li>
            </ul>
          </div>
          <p v-if="asking" class="bad" role="alert">
            What is here now goes out of sight, and is kept as a copy beside the database. Put the backup in its place?
          </p>
          <p v-if="refused" class="bad" role="alert">{{ refused }}</p>
        </v-card-text>
        <v-card-actions>
          <v-btn @click="leave">Leave it</v-btn>
          <v-btn v-if="!asking" variant="text" :disabled="!!busy" @click="asking = true"
            >In place of what is here…</v-btn
          >
          <v-btn v-else color="error" variant="flat" :disabled="!!busy" @click="bringIn('replace')"
            >Yes, in its place</v-btn
          >
          <v-btn color="primary" variant="flat" :disabled="!!busy" @click="bringIn('beside')"
            >Beside what is here</v-btn
          >
        </v-card-actions>
      </v-card>
    </v-dialog>
  </section>
</template>

<style scoped>
.backup {
  margin-top: 30px;
  border-top: 1px solid var(--line);
  padding-top: 12px;
}
.ways :deep(.v-btn) {
  font-size: 1rem;
}
.ways {
  display: flex;
  align-items: center;
  gap: 10px;
  flex-wrap: wrap;
  margin-top: 6px;
}
.hidden {
  display: none;
}
.bad {
  color: var(--takein);
}
p {
  margin: 0 0 8px;
}
</style>
