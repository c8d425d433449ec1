<script setup lang="ts">
/** The parts of Class. */
const TABS = [
  { name: "children", text: "Children by steps" },
  { name: "groups", text: "Groups for tomorrow" },
  { name: "weeks", text: "Week by week" },
];
</script>

<template>
  <nav class="tabs no-print" aria-label="Parts of Class">
    <RouterLink
      v-for="tab in TABS"
      :key="tab.name"
      :to="{ name: tab.name }"
      :class="{ here: $route.name === tab.name }"
      :aria-current="$route.name === tab.name ? 'page' : undefined"
    >
      {{ tab.text }}
    </RouterLink>
  </nav>
</template>

<style scoped lang="scss">
.tabs {
  display: flex;
  flex-wrap: wrap;
  gap: 0.25rem 1.25rem;
  margin-bottom: 1.25rem;
  border-bottom: 1px solid var(--v-line);

  a {
    padding: 0.35rem 0;
    color: var(--v-quiet);
    text-decoration: none;
    border-bottom: 3px solid transparent;

    &.here {
      color: var(--v-ink);
      font-weight: 700;
      border-color: var(--v-hour);
    }
  }
}
</style>
