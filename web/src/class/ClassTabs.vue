<script setup lang="ts">
/** The parts of Class. */
const TABS = [
  { name: "children", text: "Children by steps" },
  { name: "groups", text: "Groups for tomorrow" },
  { name: "weeks", text: "Week by week" },
  { name: "register", text: "Register" },
];
</script>

<template>
  <nav aria-label="Class menu" class="no-print">
    <BNav underline class="tabs mb-125">
      <BNavItem
        v-for="tab in TABS"
        :key="tab.name"
        :to="{ name: tab.name }"
        :active="$route.name === tab.name"
      >
        {{ tab.text }}
      </BNavItem>
    </BNav>
  </nav>
</template>

<style scoped lang="scss">
.tabs {
  --bs-nav-link-color: var(--v-quiet);
  --bs-nav-link-padding-y: 0.35rem;
  --bs-nav-underline-border-width: 3px;
  --bs-nav-underline-gap: 1.25rem;
  border-bottom: 1px solid var(--v-line);

  :deep(.active) {
    border-color: var(--v-hour);
  }
}
</style>
