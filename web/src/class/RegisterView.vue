<script setup lang="ts">
import { computed, ref, watch } from "vue";
import {
  LIMITS,
  addChildren,
  markLeft,
  readRegister,
  renameClass,
  useApiQuery,
  useApiMutation,
  type Child,
  type SchoolClass,
} from "@/api";
import { FieldGroup } from "@/ui";
import { useClasses } from "@/school";
import { countedChildren, dayWords, moment } from "@/words";
import ClassEnd from "./ClassEnd.vue";
import ErasuresLine from "./ErasuresLine.vue";
import ClassTabs from "./ClassTabs.vue";
import NamesShown from "./NamesShown.vue";
import NoClass from "./NoClass.vue";
import RegisterChild from "./RegisterChild.vue";
import RosterFile from "./RosterFile.vue";
import ClassTokens from "./ClassTokens.vue";
import WhoElse from "./WhoElse.vue";
import { useNamesRead } from "./useNamesRead";

/** Who is in the class: children come, leave and come back; and what the class is called. */
const classes = useClasses();
const { data: register } = useApiQuery(readRegister, () => classes.current && [classes.current.id]);
const right = computed(() => classes.current?.right);
const adding = useApiMutation();
const naming = useApiMutation();
/** How often the register was changed here: what goes on because of it is looked at anew. */
const changes = ref(0);
const names = ref("");
const named = ref(false);
const form = ref({ name: "", school: "" });
watch(
  () => classes.current,
  (now) => now && (form.value = { name: now.name, school: now.school }),
  { immediate: true },
);
const { read, commas, errorMessage, shown } = useNamesRead(
  () => names.value,
  () => classes.current?.id ?? null,
);
const others = computed(() => classes.open.filter((schoolClass) => schoolClass.id !== classes.current?.id));

async function changed(schoolClass: SchoolClass | null): Promise<void> {
  if (schoolClass) classes.renew(schoolClass);
  gone.value = null;
  await classes.load();
  changes.value += 1;
}

/** Who has left just now: it is undone at one press. */
const gone = ref<Child | null>(null);

async function bringBack(): Promise<void> {
  const mine = classes.current;
  const child = gone.value;
  if (!mine || !child) return;
  const done = await adding.run(async () => changed(await markLeft(mine.id, child.id, { left: false })));
  if (done) gone.value = null;
}

async function add(): Promise<void> {
  const mine = classes.current;
  if (!mine) return;
  await adding.run(async () => {
    const children = await shown();
    if (!children?.length) return;
    await changed(await addChildren(mine.id, { names: children }));
    names.value = "";
  });
}

async function rename(): Promise<void> {
  const mine = classes.current;
  if (!mine) return;
  named.value = false;
  named.value = await naming.run(async () => classes.renew(await renameClass(mine.id, form.value)));
}
</script>

<template>
  <div class="page">
    <div class="page-head">
      <h1>Register</h1>
      <span v-if="register" class="quiet">{{ countedChildren(register.children.length) }}</span>
    </div>
    <ClassTabs />
    <NoClass v-if="!classes.current" what="Each class has a register." />
    <template v-else-if="right === 'teaching'">
      <p>
        This class is lent to you by {{ classes.current.of }} until
        {{ dayWords(classes.current.until ?? "") }}. You can teach its lessons and make checks. You can't
        change the register.
      </p>
      <p class="quiet">{{ classes.current.children.map((child) => child.name).join(", ") }}</p>
    </template>
    <div v-else class="abreast d-grid gap-20 align-items-start">
      <section aria-label="Children">
        <form class="add d-grid cols-1-auto gap-06 align-items-end" novalidate @submit.prevent="add">
          <FieldGroup
            id="new-names"
            v-slot="{ state }"
            label="Add children (first names or aliases, separated by commas)"
            :wrong="errorMessage || adding.errorMessage.value"
          >
            <BFormInput id="new-names" v-model="names" autocomplete="off" :state="state" />
          </FieldGroup>
          <BButton type="submit" variant="primary" :disabled="adding.busy.value || !names.trim()">
            Add
          </BButton>
        </form>
        <NamesShown v-if="read" id="new-names" v-model:commas="commas" :read="read" class="mb-3" />
        <div role="status">
          <p v-if="gone" class="mb-3">
            {{ gone.name }} has left. The record stays. Lessons and checks leave out {{ gone.name }} from now
            on.
            <BButton variant="link" @click="bringBack">
              <i class="bi bi-arrow-counterclockwise" aria-hidden="true"></i>
              Undo
            </BButton>
          </p>
        </div>
        <ErasuresLine :key="changes" :class-id="classes.current.id" />
        <p v-if="!register" class="quiet" aria-live="polite">Loading…</p>
        <p v-else-if="!register.children.length" class="quiet">This class has no children now.</p>
        <ul v-else class="list-unstyled m-0">
          <RegisterChild
            v-for="child in register.children"
            :key="child.id"
            :school-class="classes.current"
            :child="child"
            :others="others"
            @changed="changed"
            @left="gone = $event"
          />
        </ul>
        <template v-if="register?.left.length">
          <h2 class="eyebrow mt-4 mb-06">Left</h2>
          <ul class="list-unstyled m-0">
            <RegisterChild
              v-for="child in register.left"
              :key="child.id"
              :school-class="classes.current"
              :child="{ id: child.id, name: child.name }"
              :others="[]"
              :title="`Left on ${moment(child.left_at)}`"
              left
              @changed="changed"
            />
          </ul>
        </template>
      </section>
      <aside class="d-grid gap-3">
        <BCard>
          <h2 class="mb-06">The class</h2>
          <form novalidate @submit.prevent="rename">
            <FieldGroup id="class-name" v-slot="{ state }" label="Class name" :wrong="naming.wrong('name')">
              <BFormInput id="class-name" v-model="form.name" :maxlength="LIMITS.ClassName" :state="state" />
            </FieldGroup>
            <FieldGroup
              id="class-school"
              v-slot="{ state }"
              label="School (optional)"
              :wrong="naming.wrong('school')"
            >
              <BFormInput
                id="class-school"
                v-model="form.school"
                :maxlength="LIMITS.SchoolName"
                :state="state"
              />
            </FieldGroup>
            <p v-if="naming.elsewhere('name', 'school')" class="field-error" role="alert">
              {{ naming.elsewhere("name", "school") }}
            </p>
            <BButton
              type="submit"
              variant="outline-primary"
              :disabled="
                naming.busy.value ||
                (form.name === classes.current.name && form.school === classes.current.school)
              "
            >
              Save
            </BButton>
            <span v-if="named" class="quiet ms-2" role="status">Saved.</span>
          </form>
        </BCard>
        <RosterFile :key="`list-${classes.current.id}`" :school-class="classes.current" @taken="changed" />
        <WhoElse
          v-if="right === 'owning'"
          :key="`who-${classes.current.id}`"
          :school-class="classes.current"
        />
        <ClassTokens
          v-if="right === 'owning'"
          :key="`tokens-${classes.current.id}`"
          :class-id="classes.current.id"
        />
        <ClassEnd v-if="right === 'owning'" :key="classes.current.id" :school-class="classes.current" />
      </aside>
    </div>
  </div>
</template>

<style scoped lang="scss">
.add {
  .btn {
    margin-bottom: 1.1rem;
  }
}
</style>
