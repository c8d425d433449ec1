<script setup lang="ts">
import { onKeyStroke } from "@vueuse/core";
import { computed, ref } from "vue";
import { useRoute, useRouter } from "vue-router";
import { useSession } from "@/account";
import { useClasses } from "@/school";
import { HELP } from "./help";
import SearchField from "./SearchField.vue";

const route = useRoute();
const router = useRouter();
const classes = useClasses();
const session = useSession();

/** Goes on with another class, and leaves a page that shows a check of this one. */
function choose(id: number): void {
  const about = route.params.id || route.params.child;
  void router.push({ name: about ? "home" : (route.name ?? "home"), query: { class: String(id) } });
}

const looking = ref(false);
/** Keys that are nobody's else: not while something is typed, nor on a page that has its own. */
function free(event: KeyboardEvent): boolean {
  if (event.ctrlKey || event.metaKey || event.altKey || event.defaultPrevented) return false;
  return !(event.target as HTMLElement).closest("input, textarea, select, [contenteditable]");
}
onKeyStroke("/", (event) => {
  if (!free(event) || !classes.current) return;
  event.preventDefault();
  looking.value = true;
});

const asking = ref(false);
const help = computed(() => HELP[String(route.name)]);
onKeyStroke("?", (event) => {
  if (free(event) && help.value) asking.value = true;
});

const places = [
  {
    name: "plan",
    text: "Plan",
    within: ["plan", "lesson", "run", "term", "tomorrow", "step-lesson", "boards"],
  },
  { name: "show", text: "Show", within: ["show", "compare"] },
  { name: "sheets", text: "Sheets", within: ["sheets", "call-out"] },
  {
    name: "checks",
    text: "Check",
    within: ["checks", "new-check", "check", "slips", "paper", "look", "new-desk", "live-desk", "keys"],
  },
  {
    name: "children",
    text: "Class",
    within: ["children", "child", "parents", "support", "groups", "weeks", "class", "register"],
  },
];
</script>

<template>
  <header class="bar d-grid align-items-center gap-3 border-bottom">
    <RouterLink
      class="brand d-inline-flex align-items-center fw-bold text-decoration-none gap-06 fs-135"
      :to="{ name: 'home' }"
    >
      <img src="/favicon.svg" alt="" width="26" height="26" />
      Vantick
    </RouterLink>
    <nav aria-label="Main menu">
      <BNav pills class="parts flex-nowrap">
        <BNavItem
          v-for="place in places"
          :key="place.name"
          :to="{ name: place.name }"
          :active="place.within.includes(String($route.name))"
          :link-attrs="{ 'aria-current': place.within.includes(String($route.name)) ? 'page' : undefined }"
        >
          {{ place.text }}
        </BNavItem>
      </BNav>
    </nav>
    <div class="right d-flex align-items-center justify-content-end min-w-0">
      <BButton
        v-if="classes.current"
        variant="link"
        class="look"
        aria-label="Search"
        title="Search ( / )"
        @click="looking = true"
      >
        <i class="bi bi-search" aria-hidden="true"></i>
      </BButton>
      <BDropdown variant="link" class="class-menu justify-self-end mw-100" placement="bottom-end">
        <template #button-content>
          <strong class="name overflow-hidden text-ellipsis" :title="classes.current?.name">
            {{ classes.current?.name ?? session.name }}
          </strong>
          <span
            v-if="classes.current?.school"
            class="school min-w-0 overflow-hidden text-ellipsis ps-03"
            :title="classes.current.school"
          >
            · {{ classes.current.school }}
          </span>
        </template>
        <BDropdownItemButton
          v-for="schoolClass in classes.all"
          :key="schoolClass.id"
          role="menuitem"
          :active="schoolClass.id === classes.current?.id"
          @click="choose(schoolClass.id)"
        >
          {{ schoolClass.name }}
          <span v-if="schoolClass.archived" class="quiet">archived</span>
        </BDropdownItemButton>
        <BDropdownDivider />
        <BDropdownItemButton v-if="classes.current" role="menuitem" @click="looking = true">
          Search…
        </BDropdownItemButton>
        <BDropdownItemButton v-if="help" role="menuitem" @click="asking = true">
          Help for this page
          <kbd class="key" aria-hidden="true">?</kbd>
        </BDropdownItemButton>
        <BDropdownItem v-if="classes.current" :to="{ name: 'settings' }">
          Settings of {{ classes.current.name }}
        </BDropdownItem>
        <BDropdownItem v-if="classes.current" :to="{ name: 'keys' }">The children's pictures</BDropdownItem>
        <BDropdownItem :to="{ name: 'new-class' }">New class…</BDropdownItem>
        <BDropdownDivider />
        <BDropdownItem v-if="session.keeper" :to="{ name: 'school' }">The school</BDropdownItem>
        <BDropdownItem :to="{ name: 'account' }">Account of {{ session.name }}</BDropdownItem>
        <BDropdownItemButton role="menuitem" @click="session.leave(false)">Sign out</BDropdownItemButton>
      </BDropdown>
    </div>
    <SearchField v-model="looking" />
    <BModal
      v-model="asking"
      :title="String(route.meta.title)"
      ok-only
      ok-title="Close"
      focus="ok"
      no-animation
      no-header-close
      teleport-to="body"
    >
      <ul class="m-0">
        <li v-for="line in help" :key="line">{{ line }}</li>
      </ul>
    </BModal>
  </header>
</template>

<style scoped lang="scss">
.bar {
  grid-template-columns: minmax(0, 1fr) auto minmax(0, 1fr);
  height: var(--v-bar);
  padding: 0 1.75rem;
}

.parts {
  --bs-nav-link-color: var(--v-quiet);
  --bs-nav-link-padding-x: 1.15rem;
  --bs-nav-link-padding-y: 0.35rem;
  --bs-nav-pills-border-radius: 2rem;
  --bs-nav-pills-link-active-bg: var(--v-ink);
  --bs-nav-pills-link-active-color: var(--v-paper);
  gap: 0.35rem;

  :deep(a:not(.active):hover) {
    background: var(--v-shade);
  }
}

.class-menu {
  min-width: 0;
  display: flex;
}

/* A long name gives way, never the navigation; the school's is there where there is room for it. */
.name {
  min-width: 2.5rem;
}

.school {
  flex: 0 1000 auto;
}

.class-menu :deep(.btn) {
  color: var(--v-ink);
  text-decoration: none;
  white-space: nowrap;
  padding-right: 0;
  max-width: 100%;
  min-width: 0;
  display: flex;
  align-items: center;
  overflow: hidden;
}

@media (max-width: 60rem) {
  .school {
    display: none;
  }
}

.look {
  padding: 0 0.75rem;
}

@media (max-width: 40rem) {
  .look {
    display: none;
  }

  .bar {
    padding: 0 0.75rem;
    gap: 0.25rem;
    grid-template-columns: auto auto minmax(0, 1fr);
  }

  .brand {
    font-size: 0;
    gap: 0;
  }

  .parts {
    --bs-nav-link-padding-x: 0.5rem;
    gap: 0;
    font-size: 0.95rem;
  }
}

@media (max-width: 23rem) {
  .bar {
    gap: 0;
    padding: 0 0.4rem;
  }

  .parts {
    --bs-nav-link-padding-x: 0.35rem;
    font-size: 0.85rem;
  }

  .name {
    display: none;
  }
}
</style>
