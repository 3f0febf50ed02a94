<script setup lang="ts">
import { mdiRedoVariant, mdiThemeLightDark, mdiUndoVariant } from '@mdi/js'
import { computed, onBeforeUnmount, onMounted, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { useDesk } from './desk'
import KeysDialog from './table/KeysDialog.vue'
import PrintMenu from './table/PrintMenu.vue'
import { daysLeft, STAGES } from './words'

const desk = useDesk()
const route = useRoute()
const router = useRouter()
const keys = ref(false)
const printing = ref(false)
const ready = ref(false)
const noticeOpen = computed({
  get: () => !!desk.notice,
  set: (open) => {
    if (!open) desk.notice = undefined
  },
})
const inBuild = computed(() => route.params.id !== undefined)
const brief = computed(() => (inBuild.value ? desk.build?.brief : undefined))

onMounted(async () => {
  await desk.start().catch(desk.complain)
  ready.value = true
  window.addEventListener('keydown', onKey)
})
onBeforeUnmount(() => window.removeEventListener('keydown', onKey))

const typing = (target: EventTarget | null) =>
  target instanceof HTMLElement && (target.matches('input, textarea, select') || target.isContentEditable)

function untouched(target: EventTarget | null) {
  return !(target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement) || target.dataset.dirty !== 'yes'
}

function onKey(event: KeyboardEvent) {
  const key = event.key.toLowerCase()
  if ((event.ctrlKey || event.metaKey) && (key === 'z' || key === 'y') && untouched(event.target)) {
    event.preventDefault()
    if (key === 'y' || event.shiftKey) desk.redo()
    else desk.undo()
    return
  }
  if (typing(event.target) || event.ctrlKey || event.metaKey || event.altKey) return
  if (event.key === '?') keys.value = true
  else if (key === 'w') router.push('/')
  else if (key === 'u') desk.setHouse({ unit: desk.unit === 'cm' ? 'in' : 'cm' })
  else if (key === 'p' && inBuild.value) printing.value = true
  else if ((event.key === '[' || event.key === ']') && inBuild.value) {
    const here = STAGES.findIndex((one) => one.stage === route.name)
    const next = STAGES[here + (event.key === ']' ? 1 : -1)]
    if (next) router.push({ name: next.stage })
  }
}

const flipTheme = () => desk.setHouse({ theme: desk.house.theme === 'light' ? 'dark' : 'light' })
</script>

<template>
  <v-app :theme="desk.house.theme">
    <header class="frame">
      <router-link to="/" class="name" aria-label="Fuseau, to the workshop">Fuseau</router-link>
      <template v-if="brief">
        <strong class="build">{{ brief.name }}</strong>
        <span class="about">{{ desk.build?.kind }} · {{ daysLeft(brief.needed_on) }}</span>
      </template>
      <span v-else class="about">Workshop</span>
      <span class="spring" />
      <v-btn-toggle
        :model-value="desk.unit" class="unit" aria-label="Unit"
        @update:model-value="(unit: 'cm' | 'in') => desk.setHouse({ unit })"
      >
        <v-btn value="cm" size="small">cm</v-btn>
        <v-btn value="in" size="small">in</v-btn>
      </v-btn-toggle>
      <template v-if="brief">
        <v-btn
          :icon="mdiUndoVariant" size="small" variant="text" :disabled="!desk.sheet?.undoes"
          :aria-label="desk.sheet?.undoes ? `Undo: ${desk.sheet.undoes}` : 'Nothing to undo'"
          :title="desk.sheet?.undoes ? `Undo: ${desk.sheet.undoes} (Ctrl+Z)` : 'Nothing to undo'" @click="desk.undo()"
        />
        <v-btn
          :icon="mdiRedoVariant" size="small" variant="text" :disabled="!desk.sheet?.redoes"
          :aria-label="desk.sheet?.redoes ? `Do again: ${desk.sheet.redoes}` : 'Nothing to do again'"
          :title="desk.sheet?.redoes ? `Do again: ${desk.sheet.redoes} (Ctrl+Shift+Z)` : 'Nothing to do again'"
          @click="desk.redo()"
        />
        <PrintMenu v-model="printing" />
      </template>
      <v-btn
        :icon="mdiThemeLightDark" size="small" variant="text"
        :aria-label="desk.house.theme === 'light' ? 'Dark theme' : 'Light theme'" @click="flipTheme"
      />
      <v-btn size="small" variant="text" aria-label="Keys" title="Keys (?)" @click="keys = true">?</v-btn>
    </header>
    <main v-if="ready"><router-view /></main>
    <KeysDialog v-model="keys" :in-build="inBuild" />
    <v-snackbar v-model="noticeOpen" :timeout="desk.notice?.action ? 12000 : 7000" location="bottom left">
      {{ desk.notice?.text }}
      <template v-if="desk.notice?.action" #actions>
        <v-btn variant="text" @click="desk.notice.action.run(); desk.notice = undefined">
          {{ desk.notice.action.label }}
        </v-btn>
      </template>
    </v-snackbar>
  </v-app>
</template>

<style scoped>
.frame {
  position: fixed; inset: 0 0 auto 0; height: 48px; z-index: 10; display: flex; align-items: center; gap: 12px;
  padding: 0 12px 0 18px; background: var(--frame); color: var(--on-frame);
}
.name { color: inherit; text-decoration: none; font-size: 1.35rem; font-weight: 700; letter-spacing: 0.02em; margin-right: 8px; }
.build { font-size: 1.08rem; font-weight: 600; white-space: nowrap; overflow: hidden; text-overflow: ellipsis; max-width: 340px; }
.about { color: var(--on-frame-soft); white-space: nowrap; }
.spring { flex: 1; }
.unit { height: 30px; }
.frame :deep(.v-btn) { color: inherit; }
.frame :deep(.unit .v-btn) { border-color: #7b8a97; min-width: 40px; }
.frame :deep(.unit .v-btn) { color: var(--on-frame) !important; }
.frame :deep(.unit .v-btn--active) { background: var(--on-frame) !important; color: #1d2733 !important; }
.frame :deep(:focus-visible) { outline-color: #9cc6f5; }
main { padding-top: 48px; height: 100vh; }
</style>
