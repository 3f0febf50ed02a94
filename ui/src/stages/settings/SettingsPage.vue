<script setup lang="ts">
import { onMounted, ref } from 'vue'
import { answer, api } from '../../api/client'
import type { About, Stage } from '../../api/types'
import DemoBeside from '../../parts/DemoBeside.vue'
import HerHours from '../../parts/HerHours.vue'
import HouseToggle from '../../parts/HouseToggle.vue'
import { useNotices } from '../../stores/notices'
import { useSettings } from '../../stores/settings'
import { useWork } from '../../stores/work'
import BackupBox from '../workshop/BackupBox.vue'
import DevicesDialog from '../workshop/DevicesDialog.vue'

// What holds for the whole workshop: unit, paper, look, hours, devices, backup.
const settings = useSettings()
const notices = useNotices()
const work = useWork()
const about = ref<About>()
const devices = ref(false)
const atTheLaptop = location.protocol === 'http:' // devices of the room come over TLS, and let no others in
onMounted(async () => (about.value = await answer(api.GET('/api/about')).catch(() => undefined)))
const sayAgain = () => settings.setHouse({ known: [] as Stage[] }).catch(notices.complain)
</script>

<template>
  <div class="settings">
    <h1>Settings</h1>
    <section aria-label="Unit, paper and look">
      <div class="choice">
        <span id="unit-label">Unit</span>
        <HouseToggle of="unit" aria-labelledby="unit-label" />
        <span class="soft small">A number written with its unit is read in that one, always.</span>
      </div>
      <div class="choice">
        <span id="paper-label">Paper</span>
        <HouseToggle of="paper" aria-labelledby="paper-label" />
        <span class="soft small">Pattern tiles, strips, lists and sheets are printed on it.</span>
      </div>
      <div class="choice">
        <span id="look-label">Look</span>
        <HouseToggle of="theme" aria-labelledby="look-label" />
      </div>
      <div class="choice">
        <span>Stages</span>
        <v-btn size="small" variant="outlined" :disabled="!settings.house.known.length" @click="sayAgain"
          >Say again what each is for</v-btn
        >
      </div>
    </section>
    <section aria-label="Hours">
      <HerHours @kept="work.latest && work.ask()" />
    </section>
    <section v-if="atTheLaptop" aria-label="Devices">
      <h2>Devices in the room</h2>
      <v-btn variant="outlined" size="small" @click="devices = true">Devices</v-btn>
      <span class="soft small beside">A phone behind the wearer, a tablet at the cutting table.</span>
    </section>
    <BackupBox v-if="atTheLaptop" @brought="notices.tell" />
    <section v-if="atTheLaptop && about && !about.demo" aria-label="Demo workshop">
      <h2>Demo workshop</h2>
      <DemoBeside />
    </section>
    <p v-if="about" class="soft small">
      Fuseau {{ about.version }}. Your workshop is kept {{ about.folder ? `in ${about.folder}` : 'on the laptop' }}.
      <RouterLink to="/about">About, and the licences of what comes with it</RouterLink>
    </p>
    <DevicesDialog v-model="devices" />
  </div>
</template>

<style scoped>
.settings {
  max-width: 860px;
  margin: 0 auto;
  padding: 26px 28px 60px;
}
section {
  margin-top: 20px;
}
.choice {
  display: grid;
  grid-template-columns: 90px max-content minmax(0, 1fr);
  gap: 16px;
  align-items: center;
  padding: 5px 0;
}
h2 {
  margin-bottom: 6px;
}
.beside {
  margin-left: 10px;
}
p {
  margin-top: 26px;
  overflow-wrap: anywhere;
}
@media (max-width: 599px) {
  .settings {
    padding: 18px 14px 40px;
  }
  .choice {
    grid-template-columns: minmax(0, 1fr);
    gap: 4px;
  }
}
</style>
