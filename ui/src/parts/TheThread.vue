<script setup lang="ts">
import { computed, nextTick, onMounted, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'
import { useOpenBuild } from '../stores/openBuild'
import { STAGES } from './words'

const openBuild = useOpenBuild()
const knots = computed(() =>
  STAGES.map(({ stage, label }) => ({
    label,
    ...(openBuild.latest?.thread.knots.find((knot) => knot.stage === stage) ?? { stage, state: 'empty', note: '' }),
  })),
)

// lying across a narrow window, it is moved to the stage that is open
const thread = useTemplateRef<HTMLElement>('thread')
const route = useRoute()
async function reach() {
  await nextTick()
  const here = thread.value?.querySelector<HTMLElement>('.router-link-active')
  if (here && thread.value && thread.value.scrollWidth > thread.value.clientWidth)
    thread.value.scrollLeft = here.offsetLeft - (thread.value.clientWidth - here.offsetWidth) / 2
}
watch(() => route.name, reach)
onMounted(reach)
</script>

<template>
  <nav ref="thread" class="thread" aria-label="Stages">
    <router-link
      v-for="knot in knots"
      :key="knot.stage"
      :to="{ name: knot.stage }"
      class="stage"
      :class="knot.state.replace(' ', '-')"
    >
      <svg width="18" height="26" viewBox="0 0 18 26" aria-hidden="true">
        <path class="bobbin" d="M9 4c5 3 5 15 0 18c-5-3-5-15 0-18z" />
        <path v-if="knot.state === 'settled'" class="sign" d="M5.6 13l2.3 2.6l4.4-5" />
        <circle v-else-if="knot.state === 'in hand'" class="dot" cx="9" cy="13" r="2" />
        <path v-else-if="knot.state === 'look again'" class="sign" d="M9 8.5v5.5M9 17v0.6" />
      </svg>
      <span>
        <b>{{ knot.label }}</b>
        <small
          >{{ knot.note }}<span class="sr">{{ knot.note ? ', ' : '' }}{{ knot.state }}</span></small
        >
      </span>
    </router-link>
    <router-link :to="{ name: 'numbers' }" class="house">House numbers</router-link>
  </nav>
</template>

<style scoped>
.thread {
  background: var(--bench);
  border-right: 1px solid var(--line);
  padding: 10px 0;
  overflow-y: auto;
  display: flex;
  flex-direction: column;
}
.stage {
  position: relative;
  display: flex;
  gap: 12px;
  flex: 0 1 54px;
  min-height: 44px;
  padding: 7px 8px 0 17px;
  text-decoration: none;
  color: var(--ink);
  border-left: 4px solid transparent;
  margin-left: -4px;
}
/* the thread from one knot to the next */
.stage:not(:has(+ .house))::before {
  content: '';
  position: absolute;
  left: 25px;
  top: 30px;
  height: calc(100% - 20px);
  width: 2px;
  background: var(--line);
}
.stage.router-link-active:not(:has(+ .house))::before {
  left: 21px;
}
.stage svg {
  position: relative;
  flex: none;
}
.stage b {
  font-weight: 500;
  display: block;
  line-height: 1.25;
}
.stage small {
  color: var(--steel);
  display: block;
  font-size: 0.83rem;
  line-height: 1.15;
}
.stage.router-link-active {
  background: var(--paper);
  border-left-color: var(--ink);
  margin-left: 0;
  padding-left: 13px;
}
.stage.router-link-active b {
  font-weight: 700;
}
.bobbin {
  fill: var(--paper);
  stroke: var(--steel);
  stroke-width: 1.4;
}
.settled .bobbin {
  fill: var(--settled);
  stroke: var(--settled);
}
.in-hand .bobbin {
  fill: var(--ink);
  stroke: var(--ink);
}
.look-again .bobbin {
  fill: var(--paper);
  stroke: var(--caution);
  stroke-width: 1.8;
  stroke-dasharray: 3 2;
}
.sign {
  fill: none;
  stroke: var(--paper);
  stroke-width: 1.7;
  stroke-linecap: round;
}
.look-again .sign {
  stroke: var(--caution);
  stroke-width: 2;
}
.look-again small {
  color: var(--caution);
}
.dot {
  fill: var(--paper);
}
.house {
  margin: auto 18px 2px;
  padding-top: 8px;
  color: var(--steel);
  font-size: 0.88rem;
}
@media (max-width: 899px) {
  .thread {
    flex-direction: row;
    overflow: auto hidden;
    padding: 0;
    border-right: 0;
    border-bottom: 1px solid var(--line);
  }
  .stage::before,
  .house {
    display: none;
  }
  .stage {
    flex: none;
    height: 54px;
    border-left: 0;
    margin-left: 0;
  }
}
</style>
