<script setup lang="ts">
import { ref } from 'vue'
import { answer, api, ofBuild, Refused } from '../../api/client'
import type { Line, Past } from '../../api/types'

// A build that can't be read or worked out: what is wrong, and the ways out of it.
const props = defineProps<{ line: Line }>()
const emit = defineEmits<{ mended: [said: string]; remove: [] }>()
const past = ref<Past[]>()
const refused = ref('')

async function choose() {
  refused.value = ''
  past.value = await answer(api.GET('/api/builds/{build_id}/history', ofBuild(props.line.id))).catch(() => [])
}
async function restore(one: Past) {
  try {
    await api.POST('/api/builds/{build_id}/restore', {
      ...ofBuild(props.line.id),
      body: { revision: props.line.revision, to: one.revision },
    })
    past.value = undefined
    emit('mended', `“${props.line.name}” is as it was: ${one.label}.`)
  } catch (error) {
    refused.value = error instanceof Refused ? error.trouble.sentence : 'It could not be brought back.'
  }
}
const when = (past: Past) =>
  new Date(past.made_at).toLocaleString('en-GB', { day: 'numeric', month: 'long', hour: '2-digit', minute: '2-digit' })
</script>

<template>
  <div class="damaged">
    <span class="shape" aria-hidden="true">
      <svg viewBox="0 0 110 62"><path d="M6 8H46L52 26L44 36L56 56H6ZM66 8H104V56H68L60 40L70 28Z" /></svg>
    </span>
    <span class="who">
      <b>{{ line.name }}</b>
      <small role="alert">{{ line.trouble }}</small>
      <small v-if="line.whole" class="soft">The newest state that can be read: {{ line.whole.label }}.</small>
      <small v-if="refused && !past" role="alert">{{ refused }}</small>
    </span>
    <span class="ways">
      <v-btn v-if="line.whole" size="small" color="primary" @click="restore(line.whole)"
        >Go back to {{ when(line.whole) }}</v-btn
      >
      <v-btn size="small" variant="outlined" @click="choose">{{ line.whole ? 'Another' : 'An' }} earlier state</v-btn>
      <v-btn size="small" variant="outlined" :href="`/api/builds/${line.id}/build.fuseau.json`" download
        >Export as it is</v-btn
      >
      <v-btn size="small" variant="text" @click="emit('remove')">Delete</v-btn>
    </span>
    <v-dialog :model-value="!!past" max-width="560" aria-label="Earlier states" @update:model-value="past = undefined">
      <v-card :title="`Earlier states of ${line.name}`">
        <v-card-text>
          <p v-if="refused" class="bad" role="alert">{{ refused }}</p>
          <p v-if="past && past.length < 2">There is no earlier state. Export it as it is, and send it to us.</p>
          <ol class="past">
            <li v-for="one in past?.filter((entry) => !entry.present)" :key="one.revision">
              <span
                >{{ one.label }} <small>{{ when(one) }}</small></span
              >
              <v-btn size="small" variant="outlined" @click="restore(one)">Go back to it</v-btn>
            </li>
          </ol>
        </v-card-text>
        <v-card-actions><v-btn @click="past = undefined">Leave it</v-btn></v-card-actions>
      </v-card>
    </v-dialog>
  </div>
</template>

<style scoped>
.damaged {
  flex: 1;
  display: grid;
  grid-template-columns: 150px minmax(0, 1fr) auto;
  gap: 22px;
  align-items: center;
  padding: 12px 6px;
}
.shape svg {
  height: 62px;
  width: 110px;
  margin-left: 20px;
}
.shape path {
  fill: none;
  stroke: var(--takein);
  stroke-width: 1.2;
}
.who b {
  font-size: 1.15rem;
  font-weight: 650;
  display: block;
}
.who small {
  color: var(--takein);
  display: block;
  font-size: 0.92rem;
  line-height: 1.3;
}
.who .soft {
  color: var(--steel);
}
.ways :deep(.v-btn) {
  font-size: 1rem;
}
.ways {
  display: flex;
  gap: 6px;
  flex-wrap: wrap;
  justify-content: flex-end;
}
.past {
  list-style: none;
  padding: 0;
  margin: 0;
}
.past li {
  display: flex;
  justify-content: space-between;
  align-items: center;
  gap: 12px;
  padding: 6px 0;
  border-bottom: 1px solid var(--line);
}
.past small {
  color: var(--steel);
  display: block;
}
.bad {
  color: var(--takein);
}
@media (max-width: 899px) {
  .damaged {
    grid-template-columns: minmax(0, 1fr);
  }
  .shape {
    display: none;
  }
  .ways {
    justify-content: flex-start;
  }
}
</style>
