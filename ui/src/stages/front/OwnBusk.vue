<script setup lang="ts">
import { computed, ref } from 'vue'
import { useOpenBuild } from '../../stores/openBuild'
import { lengthsIn, withUnit } from '../../parts/words'

// A busk of her own, measured: its length and each stud from its top end.
const emit = defineEmits<{ done: [] }>()
const openBuild = useOpenBuild()
const own = computed(() => openBuild.build.front.busk)
const bare = (value: number | undefined) => (value === undefined ? '' : String(Math.round(value * 100) / 100))
const form = ref({
  length: bare(own.value?.length_mm),
  width: bare(own.value?.width_mm ?? 13),
  loop: bare(own.value?.loop_width_mm ?? 12),
  studs: (own.value?.own_studs_mm ?? []).map((stud) => bare(stud)).join('; '),
  thin: own.value?.thin ?? false,
})
const error = (field: string) =>
  Object.entries(openBuild.errors).find(([at]) => at.startsWith(`front.busk.${field}`))?.[1]
async function keep() {
  const spelt = (text: string) => withUnit(text, 'mm')
  const busk = {
    length_mm: spelt(form.value.length),
    width_mm: spelt(form.value.width),
    loop_width_mm: spelt(form.value.loop),
    thin: form.value.thin,
    own_studs_mm: lengthsIn(form.value.studs, 'mm'),
  }
  if (await openBuild.edit([{ at: 'front.busk', value: busk }], 'Own busk')) emit('done')
}
</script>

<template>
  <form class="own" aria-label="Own busk" @submit.prevent="keep">
    <v-text-field v-model="form.length" label="length, mm" :error-messages="error('length_mm')" />
    <v-text-field v-model="form.width" label="width, mm" :error-messages="error('width_mm')" />
    <v-text-field
      v-model="form.studs"
      label="studs from the top end, mm, with ; between"
      :error-messages="error('own_studs_mm')"
      class="wide"
    />
    <v-text-field v-model="form.loop" label="loop, mm" :error-messages="error('loop_width_mm')" />
    <v-checkbox v-model="form.thin" label="bends by hand" hide-details density="compact" />
    <div class="acts wide">
      <v-btn type="submit" size="small" color="primary">Keep it</v-btn
      ><v-btn
        size="small"
        variant="text"
        @click="
          () => {
            openBuild.forget('front.busk')
            emit('done')
          }
        "
        >Leave it</v-btn
      >
    </div>
  </form>
</template>

<style scoped>
.own {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 8px;
  border: 1px solid var(--line);
  padding: 12px;
  border-radius: 4px;
  margin: 8px 0;
}
.own :deep(.v-selection-control .v-label) {
  color: var(--ink);
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 8px;
}
</style>
