<script setup lang="ts">
import { computed, onUnmounted, ref, watch } from 'vue'
import { answer, api, Refused } from '../../api/client'
import type { RoomCode, RoomState } from '../../api/types'
import { useNews } from '../../stores/news'

// Which other devices come into the workshop: the room opened and closed, a code for each, who is let in.
const shown = defineModel<boolean>({ required: true })
const news = useNews()
const room = ref<RoomState>()
const code = ref<RoomCode>()
const said = ref('')
const now = ref(Date.now())
const timer = setInterval(() => (now.value = Date.now()), 1000)
onUnmounted(() => clearInterval(timer))
const left = computed(() => (code.value ? Math.ceil((Date.parse(code.value.until) - now.value) / 1000) : 0))

async function ask<T>(asked: Promise<T>): Promise<T | undefined> {
  said.value = ''
  try {
    return await asked
  } catch (error) {
    said.value = error instanceof Refused ? error.trouble.sentence : String(error)
  }
}
const load = async () => (room.value = (await ask(answer(api.GET('/api/room')))) ?? room.value)
watch(shown, (on) => {
  code.value = undefined
  if (on) void load()
})
watch(
  () => news.devices,
  () => {
    if (!shown.value) return
    code.value = undefined // it was used, or somebody was put out
    void load()
  },
)
async function turn(open: boolean) {
  code.value = undefined
  room.value = (await ask(answer(open ? api.PUT('/api/room/open') : api.DELETE('/api/room/open')))) ?? room.value
}
const letIn = async () => (code.value = await ask(answer(api.POST('/api/room/code'))))
const putOut = async (id: string) =>
  (room.value =
    (await ask(answer(api.DELETE('/api/room/devices/{device_id}', { params: { path: { device_id: id } } })))) ??
    room.value)
const when = (text: string) =>
  new Date(text).toLocaleString('en-GB', { day: 'numeric', month: 'short', hour: '2-digit', minute: '2-digit' })
const qr = computed(() => `data:image/svg+xml,${encodeURIComponent(code.value?.qr ?? '')}`)
</script>

<template>
  <v-dialog v-model="shown" max-width="560" aria-label="Devices in the room">
    <v-card title="Devices in the room">
      <v-card-text>
        <p v-if="said" class="bad" role="alert">{{ said }}</p>
        <template v-if="room">
          <p v-if="!room.open">
            A phone or tablet in your network can look in here: for a photo of the gap, the next step, the cutting
            table. It is off.
          </p>
          <template v-else>
            <p>
              It is on, at <b>{{ room.urls.join(', ') }}</b>, for devices that you let in, and no others.
            </p>
            <div v-if="code && left > 0" class="code" data-code>
              <img :src="qr" :alt="`Code ${code.code} as a picture to read`" width="220" height="220" />
              <div>
                <p>Read it with the device’s camera, or open the address there and type</p>
                <p class="sign">{{ code.code.slice(0, 4) }} {{ code.code.slice(4) }}</p>
                <p class="soft">for {{ Math.floor(left / 60) }}:{{ String(left % 60).padStart(2, '0') }} more, once.</p>
              </div>
            </div>
            <p v-if="code && left > 0" class="soft small">
              Its browser will warn that it does not know this machine: the certificate is this machine’s own. It is the
              right one if its SHA-256 fingerprint begins with <b>{{ room.fingerprint.slice(0, 23) }}</b>.
            </p>
            <p v-if="code && left <= 0" class="soft">This code is over.</p>
          </template>
          <p v-if="room.certificate_anew" class="soft small" role="status">
            The machine’s certificate was damaged, and is made anew: devices that were let in will warn once more.
          </p>
          <ul v-if="room.devices.length" class="entries" aria-label="Devices that are let in">
            <li v-for="device in room.devices" :key="device.id">
              <span
                ><b>{{ device.name }}</b>
                <span class="soft"
                  >let in {{ when(device.let_in_at) }}, here last {{ when(device.seen_at) }}</span
                ></span
              >
              <v-btn size="small" variant="outlined" :aria-label="`Put out ${device.name}`" @click="putOut(device.id)"
                >Put out</v-btn
              >
            </li>
          </ul>
        </template>
      </v-card-text>
      <v-card-actions>
        <template v-if="room">
          <v-btn v-if="!room.open" color="primary" variant="flat" @click="turn(true)">Open the room</v-btn>
          <template v-else>
            <v-btn color="primary" variant="flat" @click="letIn">Let a device in</v-btn>
            <v-btn @click="turn(false)">Close the room</v-btn>
          </template>
        </template>
        <span class="spring" />
        <v-btn @click="shown = false">Close this</v-btn>
      </v-card-actions>
    </v-card>
  </v-dialog>
</template>

<style scoped>
p {
  margin: 0 0 8px;
}
.bad {
  color: var(--takein);
}
.code {
  display: flex;
  flex-wrap: wrap;
  gap: 18px;
  align-items: center;
}
.code img {
  background: #fff;
}
.code > div {
  flex: 1 1 180px;
}
.sign {
  font-size: 1.9rem;
  font-weight: 650;
  letter-spacing: 0.06em;
}
li {
  display: flex;
  justify-content: space-between;
  gap: 12px;
  align-items: center;
  padding: 6px 0;
  border-top: 1px solid var(--line);
}
.spring {
  flex: 1;
}
</style>
