<script setup lang="ts">
import { keyboardMap } from './keys'

// What keys do where she is now.
const shown = defineModel<boolean>({ required: true })
</script>

<template>
  <v-dialog v-model="shown" max-width="440" aria-label="Keys">
    <v-card title="Keys">
      <v-card-text>
        <table class="numbers">
          <tbody>
            <tr v-for="entry in keyboardMap" :key="entry.keys + entry.does">
              <td>
                <kbd>{{ entry.keys }}</kbd>
              </td>
              <td>{{ entry.does }}</td>
            </tr>
          </tbody>
        </table>
      </v-card-text>
      <v-card-actions
        ><v-btn to="/how" @click="shown = false">How it computes</v-btn><span class="spring" /><v-btn
          @click="shown = false"
          >Close</v-btn
        ></v-card-actions
      >
    </v-card>
  </v-dialog>
</template>

<style scoped>
.spring {
  flex: 1;
}
kbd {
  font-family: inherit;
  border: 1px solid var(--line);
  border-radius: 3px;
  padding: 0 6px;
  background: var(--bench);
}
</style>
