<script setup lang="ts">
import {
  mdiArrowLeft,
  mdiCogOutline,
  mdiDotsVertical,
  mdiHuman,
  mdiMagnify,
  mdiRedoVariant,
  mdiThemeLightDark,
  mdiUndoVariant,
} from '@mdi/js'
import { useEventListener } from '@vueuse/core'
import { computed, onMounted, ref, watch } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useOpenBuild } from './stores/openBuild'
import { useNews } from './stores/news'
import { useOnBody } from './stores/onBody'
import { useNotices } from './stores/notices'
import { useSettings } from './stores/settings'
import { useUnsent } from './stores/unsent'
import { useKeyboard, useKeys } from './parts/keys'
import FindDialog from './parts/FindDialog.vue'
import KeysDialog from './parts/KeysDialog.vue'
import PrintMenu from './parts/PrintMenu.vue'
import { changed } from './parts/changed'
import { daysLeft, STAGES } from './parts/words'

const openBuild = useOpenBuild()
const notices = useNotices()
const onBody = useOnBody()
const settings = useSettings()
const route = useRoute()
const router = useRouter()
const keys = ref(false)
const finding = ref(false)
const printing = ref(false)
const away = ref(false) // nothing stands before the catalogue was read once
const noticeOpen = computed({
  get: () => !!notices.notice,
  set: (open) => {
    if (!open) notices.notice = undefined
  },
})
const unsent = useUnsent()
const news = useNews()
// leaving asks while something is not kept yet; it is held by this browser all the same
useEventListener(window, 'beforeunload', (event: BeforeUnloadEvent) => {
  if (unsent.anything) event.preventDefault()
})
const inBuild = computed(() => !!route.params.id)
const brief = computed(() => (inBuild.value ? openBuild.latest?.build.brief : undefined))

const START_AGAIN_MS = 2000
async function start() {
  try {
    await settings.start()
    away.value = false
    news.listen((build, revision) => openBuild.heard(build, revision))
  } catch {
    away.value = true
    setTimeout(start, START_AGAIN_MS)
  }
}
onMounted(start)

// what an edit changed, for ears
const aloud = ref('')
// the same words again are only read when something in them differs
const heard = (said: string) => (aloud.value = said + (aloud.value.endsWith('\u00a0') ? '' : '\u00a0'))
watch(
  () => openBuild.latest,
  (now, before) => {
    if (now && before && now.id === before.id && now.revision !== before.revision) heard(changed(before, now))
    else if (now?.id !== before?.id) aloud.value = ''
  },
)
function flipUnit() {
  void settings.setHouse({ unit: settings.unit === 'cm' ? 'in' : 'cm' })
}
const toStage = (by: number) => {
  const next = STAGES[STAGES.findIndex((stage) => stage.stage === route.name) + by]
  if (next) void router.push({ name: next.stage })
}
const within = { where: () => inBuild.value }
useKeyboard()
useKeys([
  { keys: '?', does: 'these keys', on: ['?'], run: () => (keys.value = true) },
  { keys: '/', does: 'find anything', on: ['/'], run: () => (finding.value = true) },
  { keys: 'w', does: 'to the workshop', on: ['w'], run: () => void router.push('/') },
  { keys: 's', does: 'to the shelf', on: ['s'], run: () => void router.push('/shelf'), where: () => !inBuild.value },
  { keys: 'c', does: 'to the cards', on: ['c'], run: () => void router.push('/cards'), where: () => !inBuild.value },
  { keys: 'u', does: 'cm or inches', on: ['u'], run: flipUnit },
  { keys: 'Ctrl Z', does: 'undo', on: ['Ctrl+z'], run: () => openBuild.undo(), inFields: true, ...within },
  {
    keys: 'Ctrl Shift Z',
    does: 'do again',
    on: ['Ctrl+Shift+z', 'Ctrl+y'],
    run: () => openBuild.redo(),
    inFields: true,
    ...within,
  },
  { keys: '[', does: 'the stage before', on: ['['], run: () => toStage(-1), ...within },
  { keys: ']', does: 'the stage after', on: [']'], run: () => toStage(1), ...within },
  { keys: 'b', does: 'the garment on her body', on: ['b'], run: () => (onBody.shown = !onBody.shown), ...within },
  { keys: 'p', does: 'print', on: ['p'], run: () => (printing.value = true), ...within },
])

function act() {
  notices.notice?.action?.run()
  notices.notice = undefined
}
const flipTheme = () => settings.setHouse({ theme: settings.house.theme === 'light' ? 'dark' : 'light' })
</script>

<template>
  <v-app :theme="settings.house.theme">
    <header class="frame">
      <router-link to="/" class="name" :class="{ away: inBuild }" aria-label="Fuseau, to the workshop"
        ><span>Fuseau</span><v-icon class="narrow" :icon="mdiArrowLeft" size="small"
      /></router-link>
      <template v-if="brief">
        <strong class="build">{{ brief.name }}</strong>
        <span class="about">{{ openBuild.latest?.build.kind }} · {{ daysLeft(brief.needed_on) }}</span>
      </template>
      <nav v-else class="places" aria-label="The workshop">
        <router-link to="/">Builds</router-link>
        <router-link to="/today">Today</router-link>
        <router-link to="/shelf">Shelf</router-link>
        <router-link to="/shopping">Shopping</router-link>
        <router-link to="/cards">Cards</router-link>
      </nav>
      <span class="spring" />
      <v-btn
        :icon="mdiMagnify"
        size="small"
        variant="text"
        class="wide"
        aria-label="Find anything"
        title="Find (/)"
        @click="finding = true"
      />
      <v-btn-toggle
        :model-value="settings.unit"
        class="unit wide"
        aria-label="Unit"
        @update:model-value="(unit: 'cm' | 'in') => settings.setHouse({ unit })"
      >
        <v-btn value="cm" size="small">cm</v-btn>
        <v-btn value="in" size="small">in</v-btn>
      </v-btn-toggle>
      <template v-if="brief">
        <v-btn
          :icon="mdiUndoVariant"
          size="small"
          variant="text"
          :disabled="!openBuild.latest?.undoes"
          :aria-label="openBuild.latest?.undoes ? `Undo: ${openBuild.latest.undoes}` : 'Nothing to undo'"
          :title="openBuild.latest?.undoes ? `Undo: ${openBuild.latest.undoes} (Ctrl+Z)` : 'Nothing to undo'"
          @click="openBuild.undo()"
        />
        <v-btn
          :icon="mdiRedoVariant"
          size="small"
          variant="text"
          class="wide"
          :disabled="!openBuild.latest?.redoes"
          :aria-label="openBuild.latest?.redoes ? `Do again: ${openBuild.latest.redoes}` : 'Nothing to do again'"
          :title="
            openBuild.latest?.redoes ? `Do again: ${openBuild.latest.redoes} (Ctrl+Shift+Z)` : 'Nothing to do again'
          "
          @click="openBuild.redo()"
        />
        <v-btn
          :prepend-icon="mdiHuman"
          size="small"
          variant="text"
          :aria-pressed="onBody.shown"
          data-on-body
          title="The garment on her body (b)"
          aria-label="On the body"
          @click="onBody.shown = !onBody.shown"
          ><span class="wide">On the body</span></v-btn
        >
        <PrintMenu v-model="printing" />
      </template>
      <v-btn
        :icon="mdiThemeLightDark"
        size="small"
        variant="text"
        class="wide"
        :aria-label="settings.house.theme === 'light' ? 'Dark theme' : 'Light theme'"
        @click="flipTheme"
      />
      <v-btn
        :icon="mdiCogOutline"
        size="small"
        variant="text"
        class="wide"
        to="/settings"
        :active="false"
        aria-label="Settings"
        title="Settings"
      />
      <v-btn size="small" variant="text" class="wide" aria-label="Keys" title="Keys (?)" @click="keys = true">?</v-btn>
      <v-menu location="bottom end">
        <template #activator="{ props }">
          <v-btn v-bind="props" :icon="mdiDotsVertical" size="small" variant="text" class="narrow" aria-label="More" />
        </template>
        <v-list min-width="220" role="menu" aria-label="More">
          <v-list-item
            v-if="brief"
            role="menuitem"
            :disabled="!openBuild.latest?.redoes"
            title="Do again"
            @click="openBuild.redo()"
          />
          <v-list-item role="menuitem" :title="settings.unit === 'cm' ? 'Inches' : 'Centimetres'" @click="flipUnit" />
          <v-list-item
            role="menuitem"
            :title="settings.house.theme === 'light' ? 'Dark theme' : 'Light theme'"
            @click="flipTheme"
          />
          <v-list-item role="menuitem" title="Find anything" @click="finding = true" />
          <v-list-item role="menuitem" title="Keys" @click="keys = true" />
          <v-list-item role="menuitem" title="Words of the trade" to="/words" />
          <v-list-item role="menuitem" title="How it computes" to="/how" />
          <v-list-item role="menuitem" title="About and licences" to="/about" />
          <v-list-item role="menuitem" title="Settings" to="/settings" />
        </v-list>
      </v-menu>
    </header>
    <p v-if="unsent.count" class="unsent" role="status">
      Fuseau does not answer. {{ unsent.count === 1 ? 'One change waits' : `${unsent.count} changes wait` }} here and
      {{ unsent.count === 1 ? 'is' : 'are' }} sent when it does.
    </p>
    <main v-if="settings.started" :class="{ barred: unsent.count }"><router-view /></main>
    <main v-else-if="away" class="away">
      <h1>Fuseau does not answer</h1>
      <p>Is it still running? This page opens by itself as soon as it answers.</p>
    </main>
    <p class="sr" role="status" data-aloud>{{ aloud }}</p>
    <KeysDialog v-model="keys" />
    <FindDialog v-model="finding" />
    <v-snackbar v-model="noticeOpen" :timeout="notices.notice?.action ? 12000 : 7000" location="bottom left">
      {{ notices.notice?.text }}
      <template v-if="notices.notice?.action" #actions>
        <v-btn variant="text" @click="act">
          {{ notices.notice.action.label }}
        </v-btn>
      </template>
    </v-snackbar>
  </v-app>
</template>

<style scoped>
.frame {
  position: fixed;
  inset: 0 0 auto 0;
  height: 48px;
  z-index: 10;
  display: flex;
  align-items: center;
  gap: 12px;
  padding: 0 12px 0 18px;
  background: var(--frame);
  color: var(--on-frame);
}
.name {
  color: inherit;
  text-decoration: none;
  font-size: 1.35rem;
  font-weight: 700;
  letter-spacing: 0.02em;
  margin-right: 8px;
}
.build {
  font-size: 1.08rem;
  font-weight: 600;
  white-space: nowrap;
  overflow: hidden;
  text-overflow: ellipsis;
  max-width: 340px;
}
.about {
  color: var(--on-frame-soft);
  white-space: nowrap;
}
.places {
  display: flex;
  gap: 4px;
}
@media (max-width: 599px) {
  .name:not(.away) .narrow,
  .name.away span {
    display: none !important;
  }
}
@media (min-width: 600px) {
  .name .narrow {
    display: none !important;
  }
}
.places a {
  color: var(--on-frame-soft);
  text-decoration: none;
  padding: 5px 10px;
  border-bottom: 3px solid transparent;
}
.places a.router-link-exact-active {
  color: var(--on-frame);
  border-bottom-color: #d9ac4f;
}
.spring {
  flex: 1;
}
.unit {
  height: 30px;
}
.frame :deep(.v-btn) {
  color: inherit;
}
.frame :deep(.unit .v-btn) {
  border-color: #7b8a97;
  min-width: 40px;
}
.frame :deep(.unit .v-btn) {
  color: var(--on-frame) !important;
}
.frame :deep(.unit .v-btn--active) {
  background: var(--on-frame) !important;
  color: #1d2733 !important;
}
.frame :deep(:focus-visible) {
  outline-color: #9cc6f5;
}
.unsent {
  position: fixed;
  inset: 48px 0 auto 0;
  z-index: 9;
  margin: 0;
  padding: 5px 18px;
  background: var(--caution);
  color: var(--paper);
  font-weight: 500;
}
.frame .narrow {
  display: none;
}
@media (max-width: 899px) {
  .frame {
    gap: 2px;
    padding: 0 2px 0 10px;
  }
  .frame :deep(.wide) {
    display: none;
  }
  .frame .narrow {
    display: grid;
  }
  .frame :deep(.v-btn__prepend) {
    margin-inline: 0;
  }
  .frame .about {
    display: none;
  }
  .build {
    min-width: 0;
    max-width: none;
    flex: 1 1 0;
  }
}
main {
  --top: 48px;
  padding-top: var(--top);
  min-height: 100vh;
}
main.away {
  padding: 80px 32px;
}
main.barred {
  --top: 80px;
}
/* on a phone the places of the workshop lie under the thumb */
@media (max-width: 599px) {
  .places {
    position: fixed;
    inset: auto 0 0 0;
    height: 52px;
    background: var(--frame);
    gap: 0;
    z-index: 10;
  }
  .places a {
    flex: 1;
    display: grid;
    place-items: center;
    padding: 0 2px;
  }
  main:not(:has(.desk)) {
    padding-bottom: 52px;
  }
}
</style>
