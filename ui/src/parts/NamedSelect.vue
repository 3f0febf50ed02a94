<script setup lang="ts">
// A list of things that have a name and a label, as the catalogue has them.
</script>

<template>
  <v-select item-title="label" item-value="name" />
</template>
