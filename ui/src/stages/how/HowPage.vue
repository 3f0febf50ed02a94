<script setup lang="ts">
// How everything is computed: the page that is written for it, as it is.
import written from '../../../../docs/how-it-computes.md'
</script>

<template>
  <!-- eslint-disable-next-line vue/no-v-html -- it is our own page, built in -->
  <article class="how" v-html="written" />
</template>

<style scoped>
.how {
  max-width: 860px;
  margin: 0 auto;
  padding: 26px 20px 60px;
}
.how :deep(h1) {
  margin-bottom: 10px;
}
.how :deep(h2) {
  margin: 26px 0 6px;
}
.how :deep(p) {
  margin: 0 0 10px;
}
.how :deep(table) {
  border-collapse: collapse;
  display: block;
  overflow-x: auto;
}
.how :deep(:is(td, th)) {
  text-align: left;
  vertical-align: top;
  padding: 5px 12px 5px 0;
  border-bottom: 1px solid var(--line);
}
.how :deep(code) {
  font-size: 0.92em;
  color: var(--steel);
}
</style>
