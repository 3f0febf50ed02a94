<script setup lang="ts">
import { ref } from 'vue'
import type { BoneKind } from '../../api/types'
import { useOpenBuild } from '../../stores/openBuild'
import { useSettings } from '../../stores/settings'
import { lengthsIn, withUnit } from '../../parts/words'
import { useBoneCommands } from '../../commands/bones'
import { useMaterials } from '../../stores/materials'

// The kinds of bones to choose from; every entry can be changed, and others added.
const openBuild = useOpenBuild()
const bones = useBoneCommands()
const materials = useMaterials()
const settings = useSettings()
const SOLD = [
  { title: 'by the coil, cut to length', value: 'coil' },
  { title: 'in lengths, to be cut', value: 'lengths' },
  { title: 'ready-cut, taken as they are', value: 'ready-cut' },
]
type Form = {
  name: string
  label: string
  material: BoneKind['material']
  width: string
  thickness: string
  sold: NonNullable<BoneKind['sold']>
  lengths: string
  price_per_m: string
  price_each: string
  g_per_m: string
  bends: string
}
const form = ref<Form>()
// sizes of bones are sold in millimetres, to a tenth; whoever writes inches says so
const bare = (value: number) => String(Math.round(value * 100) / 100)
const mm = (value: number) => `${bare(value)} mm`
const isOwn = (name: string) => !!openBuild.build.catalogue.bones[name]
const shipped = (name: string) => !!settings.catalogue.bones.some((kind) => kind.name === name)
function begin(kind?: BoneKind) {
  openBuild.forget('catalogue')
  form.value = {
    name: kind?.name ?? '',
    label: kind?.label ?? '',
    material: kind?.material ?? settings.catalogue.materials[0],
    width: kind ? bare(kind.width_mm) : '',
    thickness: kind ? bare(kind.thickness_mm) : '',
    sold: kind?.sold ?? 'coil',
    lengths: (kind?.lengths_mm ?? []).map(bare).join('; '),
    price_per_m: String(kind?.price_per_m ?? ''),
    price_each: String(kind?.price_each ?? ''),
    g_per_m: String(kind?.g_per_m ?? ''),
    bends: kind?.bends_to_mm ? bare(kind.bends_to_mm) : '',
  }
}
async function keep() {
  const f = form.value!
  const spelt = (text: string) => withUnit(text, 'mm')
  const kind = {
    ...(f.name ? { name: f.name } : {}),
    label: f.label,
    material: f.material,
    width_mm: spelt(f.width),
    thickness_mm: spelt(f.thickness),
    sold: f.sold,
    lengths_mm: lengthsIn(f.lengths, 'mm'),
    price_per_m: f.price_per_m || '0',
    price_each: f.price_each || '0',
    g_per_m: f.g_per_m || '0',
    bends_to_mm: f.bends.trim() ? spelt(f.bends) : null,
  }
  if (await bones.keepKind(kind)) form.value = undefined
}
const error = (field: string) =>
  Object.entries(openBuild.errors).find(
    ([at]) => at.startsWith('catalogue.') && (at.endsWith(`.${field}`) || at.includes(`.${field}.`)),
  )?.[1]
const back = (name: string) =>
  openBuild.edit(
    [{ at: `catalogue.bones.${name}`, value: null }],
    `Catalogue: ${materials.bones.find((kind) => kind.name === name)?.label} taken out`,
  )
</script>

<template>
  <section v-if="!form" aria-label="Catalogue of bones">
    <p class="soft">Kinds to choose from in this build. Prices are round figures to compare with: put yours in.</p>
    <article v-for="kind in materials.bones" :key="kind.name" class="kind" :class="{ own: isOwn(kind.name) }">
      <button type="button" class="edit" @click="begin(kind)">{{ kind.label }}</button>
      <p class="soft small in">
        {{ mm(kind.width_mm) }} × {{ mm(kind.thickness_mm) }}, {{ kind.g_per_m }} g/m, {{ kind.price_per_m }} a
        metre<template v-if="kind.price_each"> + {{ kind.price_each }} each</template>;
        {{ kind.sold === 'coil' ? 'by the coil' : `${kind.sold}: ${kind.lengths_mm.map(bare).join(', ')}` }}
      </p>
      <v-btn v-if="isOwn(kind.name)" size="x-small" variant="text" @click="back(kind.name)">{{
        shipped(kind.name) ? 'as it was' : 'take it out'
      }}</v-btn>
    </article>
    <v-btn size="small" variant="outlined" class="more" @click="begin()">Another kind</v-btn>
  </section>
  <form v-else class="form" @submit.prevent="keep">
    <h2>{{ form.name ? 'Change this kind' : 'Another kind' }}</h2>
    <v-text-field v-model="form.label" label="What it is called" :error-messages="error('label')" class="wide" />
    <v-select v-model="form.material" label="Of" :items="settings.catalogue.materials" class="wide" />
    <v-text-field v-model="form.width" label="width, mm" :error-messages="error('width_mm')" />
    <v-text-field v-model="form.thickness" label="thickness, mm" :error-messages="error('thickness_mm')" />
    <v-select v-model="form.sold" label="Sold" :items="SOLD" class="wide" />
    <v-text-field
      v-if="form.sold !== 'coil'"
      v-model="form.lengths"
      label="lengths, mm, with ; between"
      :error-messages="error('lengths_mm')"
      class="wide"
    />
    <v-text-field v-model="form.price_per_m" label="price a metre" :error-messages="error('price_per_m')" />
    <v-text-field v-model="form.price_each" label="and for each" :error-messages="error('price_each')" />
    <v-text-field v-model="form.g_per_m" label="grams a metre" :error-messages="error('g_per_m')" />
    <v-text-field
      v-model="form.bends"
      label="bends to, mm"
      placeholder="from its width"
      :error-messages="error('bends_to_mm')"
    />
    <div class="acts wide">
      <v-btn type="submit" size="small" color="primary">Keep it</v-btn
      ><v-btn
        size="small"
        variant="text"
        @click="
          () => {
            form = undefined
            openBuild.forget('catalogue')
          }
        "
        >Leave it</v-btn
      >
    </div>
  </form>
</template>

<style scoped>
.kind {
  border-bottom: 1px solid var(--line);
  padding: 4px 0;
}
.kind p {
  margin: 0;
}
.kind.own .edit {
  font-weight: 700;
}
.edit {
  font: inherit;
  color: var(--letout);
  text-decoration: underline dotted;
  text-align: left;
}
.more {
  margin-top: 10px;
}
.form {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 10px 8px;
  margin-top: 8px;
}
.wide {
  grid-column: 1 / -1;
}
.acts {
  display: flex;
  gap: 8px;
}
h2 {
  grid-column: 1 / -1;
  margin: 0;
}
p {
  margin: 4px 0;
}
</style>
