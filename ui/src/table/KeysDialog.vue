<script setup lang="ts">
const open = defineModel<boolean>({ required: true })
defineProps<{ inBuild: boolean }>()

const everywhere = [
  ['?', 'these keys'],
  ['w', 'to the workshop'],
  ['u', 'cm or inches'],
]
const build = [
  ['Ctrl Z', 'undo'],
  ['Ctrl Shift Z', 'do again'],
  ['[ and ]', 'stage before, stage after'],
  ['p', 'print'],
  ['+ − 0', 'nearer, further, all of it'],
  ['arrows', 'move the paper'],
  ['m', 'measure between two points'],
  ['Tab', 'to the next point of the pattern'],
  ['arrows, on a point', 'move it 1 mm (1/16 in)'],
  ['Shift arrows', 'five times as far'],
  ['n and N', 'bones: channel after, before'],
  ['a or d', 'bones: add a channel beside the picked one, draw one'],
  ['Del', 'bones: leave the channel out'],
]
</script>

<template>
  <v-dialog v-model="open" max-width="420">
    <v-card title="Keys">
      <v-card-text>
        <table class="numbers">
          <tbody>
            <tr v-for="[key, does] in inBuild ? [...build, ...everywhere] : everywhere" :key="key">
              <td><kbd>{{ key }}</kbd></td>
              <td>{{ does }}</td>
            </tr>
          </tbody>
        </table>
      </v-card-text>
      <v-card-actions><v-btn @click="open = false">Close</v-btn></v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
kbd { font-family: inherit; border: 1px solid var(--line); border-radius: 3px; padding: 0 6px; background: var(--bench); }
</style>
