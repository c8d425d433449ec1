<script setup lang="ts">
import { computed, ref, watch } from "vue";
import { VueDraggable } from "vue-draggable-plus";
import { useRouter } from "vue-router";
import {
  keepGroups,
  newSeed,
  planLesson,
  resetGroups,
  readGroups,
  type Group,
  type Groups,
  useApiQuery,
  useApiMutation,
  useFacts,
} from "@/api";
import { DialFace, StepDial } from "@/dial";
import { useClasses } from "@/school";
import NoClass from "./NoClass.vue";
import ClassTabs from "./ClassTabs.vue";
import { moment, plusDays, today } from "@/words";

/** Groups for tomorrow: each with why, what to do and its times. Any child can be moved by hand. */
const router = useRouter();
const facts = useFacts();
const classes = useClasses();
const most = ref(facts.catalogue?.limits.groups ?? 1);
const groups = ref<Group[]>([]);
/** When they were made by hand; nothing where they are proposed. */
const keptAt = ref<string | null>(null);
const { errorMessage: refused, run } = useApiMutation();
const { data, errorMessage } = useApiQuery(
  readGroups,
  () => classes.current && [classes.current.id, { most: most.value || 1 }],
);
function put(found: Groups): void {
  groups.value = found.groups.map((group) => ({ ...group, child_ids: [...group.child_ids] }));
  keptAt.value = found.kept_at;
}
watch(data, (found) => put(found ?? { groups: [], kept_at: null }), { immediate: true });
const names = computed(() => new Map(classes.current?.children.map((child) => [child.id, child.name])));

function why(group: Group): string {
  if (group.misreadings.length) return group.misreadings.map((id) => facts.misreading(id).name).join(", or ");
  if (group.beside)
    return group.step ? `ready to move on: ${facts.rung(group.step).name.toLowerCase()}` : "ready to move on";
  return group.step ? `next: ${facts.rung(group.step).name.toLowerCase()}` : "all steps secure";
}

/** The groups by number, as a child can be put into them. */
const places = computed(() => groups.value.map((_, at) => ({ value: at, text: String(at + 1) })));

function move(child: number, from: number, to: number): void {
  if (from === to || !groups.value[to]) return;
  groups.value = groups.value.map((group, at) => {
    const others = group.child_ids.filter((id) => id !== child);
    return { ...group, child_ids: at === to ? [...others, child] : others };
  });
  void keep();
}

/** What was moved is kept at once. */
const keep = (): Promise<boolean> =>
  run(async () => {
    if (classes.current)
      keptAt.value = (await keepGroups(classes.current.id, { groups: groups.value })).kept_at;
  });

const reset = (): Promise<boolean> =>
  run(async () => {
    if (classes.current) put(await resetGroups(classes.current.id, { most: most.value || 1 }));
  });

const print = (): void => window.print();

async function lesson(group: Group): Promise<void> {
  if (!classes.current || !facts.catalogue || !group.step) return;
  const classId = classes.current.id;
  const body = {
    day: plusDays(today(), 1),
    step: group.step,
    minutes: facts.catalogue.limits.group_minutes,
    seed: newSeed(),
    child_ids: group.child_ids,
  };
  await run(async () => {
    const made = await planLesson(classId, body);
    await router.push({ name: "lesson", params: { id: made.id } });
  });
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Groups for tomorrow</h1>
      <div class="actions">
        <span v-if="keptAt" class="quiet align-self-center">made {{ moment(keptAt) }}</span>
        <BButton v-if="keptAt" variant="link" @click="reset">Reset groups</BButton>
        <BButton variant="link" @click="print">
          <i class="bi bi-printer" aria-hidden="true"></i>
          Print
        </BButton>
        <BButton v-if="groups.length" variant="outline-primary" :to="{ name: 'tomorrow' }">
          Print everything
        </BButton>
        <label class="most d-print-none d-flex align-items-center gap-2">
          At most
          <BFormInput v-model.number="most" type="number" min="1" max="12" />
          groups
          <span v-if="groups.some((group) => group.beside)" class="quiet">
            and the children ready to move on
          </span>
        </label>
      </div>
    </div>
    <ClassTabs />
    <p v-if="errorMessage || refused" role="alert" class="field-error">{{ errorMessage || refused }}</p>
    <NoClass v-else-if="!classes.current" what="You need a class to make groups." />
    <p v-else-if="!data" class="quiet" aria-live="polite">Making groups…</p>
    <div class="groups d-grid gap-3">
      <section
        v-for="(group, at) in groups"
        :key="at"
        class="d-flex flex-column gap-07 px-12 py-11 border rounded-10 on-card break-avoid"
        :aria-label="`Group ${at + 1}`"
      >
        <div class="head d-flex gap-3 align-items-center">
          <StepDial v-if="group.step && !group.misreadings[0]" class="about" :step="group.step" />
          <DialFace
            v-else-if="group.times[0]"
            class="about"
            :facts="facts.of(group.times[0])"
            detail="small"
          />
          <h2 class="m-0 fs-125 lh-sm">
            <span class="quiet d-block fs-95 fw-normal">Group {{ at + 1 }}</span>
            {{ why(group) }}
          </h2>
        </div>
        <p v-if="group.misreadings[0]" class="move m-0 lh-135">
          {{ facts.misreading(group.misreadings[0]).move }}
        </p>
        <!-- By pointer and touch they are drawn over; by keys the number beside a name is another. -->
        <VueDraggable
          v-model="group.child_ids"
          tag="ul"
          class="children list-unstyled d-flex flex-wrap gap-04 m-0 p-0"
          group="children"
          filter="select"
          :prevent-on-filter="false"
          :animation="150"
          :delay="120"
          :delay-on-touch-only="true"
          :force-fallback="true"
          @end="keep"
        >
          <li
            v-for="child in group.child_ids"
            :key="child"
            class="d-flex align-items-center gap-03 pe-03 ps-08 py-015 rounded-20 on-shade"
          >
            <RouterLink :to="{ name: 'child', params: { child } }" draggable="false">
              {{ names.get(child) }}
            </RouterLink>
            <BFormSelect
              class="to"
              :aria-label="`Move ${names.get(child)} to another group`"
              :model-value="at"
              :options="places"
              @update:model-value="move(child, at, Number($event))"
            />
          </li>
        </VueDraggable>
        <div class="times d-flex gap-2">
          <DialFace
            v-for="time in group.times"
            :key="time"
            class="group-dial"
            :facts="facts.of(time)"
            detail="small"
          />
        </div>
        <div class="d-flex flex-wrap gap-2 mt-auto">
          <BButton
            variant="outline-primary"
            :to="{
              name: 'show',
              query: {
                times: group.times.join(','),
                lens: group.misreadings[0] && facts.misreading(group.misreadings[0]).lens,
              },
            }"
          >
            Show clocks
          </BButton>
          <BButton
            v-if="group.step"
            variant="outline-primary"
            :to="{
              name: 'sheets',
              query: {
                kind: facts.sheetKindOf(group.step),
                step: group.step,
                children: group.child_ids.join(','),
              },
            }"
          >
            Make sheet
          </BButton>
          <BButton v-if="group.step" variant="outline-primary" @click="lesson(group)">Plan lesson</BButton>
          <BButton
            v-if="group.child_ids.length"
            variant="outline-primary"
            :to="{
              name: 'new-desk',
              query: { children: group.child_ids.join(','), step: group.step ?? undefined },
            }"
          >
            Use devices
          </BButton>
        </div>
      </section>
    </div>
  </div>
</template>

<style scoped lang="scss">
.groups {
  grid-template-columns: repeat(auto-fit, minmax(17rem, 1fr));
}

.children {
  li {
    cursor: grab;
  }

  a {
    text-decoration: none;
  }

  .to {
    width: auto;
    min-height: 1.6rem;
    padding: 0 1.4rem 0 0.3rem;
    border: 0;
    background-color: transparent;
    background-position: right 0.2rem center;
    font-size: 0.85rem;
    color: var(--v-quiet);
  }
}

.group-dial {
  width: 3.6rem;
}

.most {
  input {
    width: 4.5rem;
  }
}

@media print {
  .btn,
  .to {
    display: none;
  }

  /* Four groups and the one beside, of a class of thirty, are to fit on a page. */
  .groups {
    grid-template-columns: repeat(3, minmax(0, 1fr));
    gap: 0.5rem;
    font-size: 0.85em;
    line-height: 1.2;
  }
}

/* What a group is about is seen before it is read. */
.about {
  flex: none;
  width: 4.6rem;
}
</style>
