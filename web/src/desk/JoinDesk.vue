<script setup lang="ts">
import { computed, nextTick, onMounted, ref, shallowRef } from "vue";
import { Refused, type Child } from "@/api/client";
import PictureMark from "@/pictures/PictureMark.vue";
import { PICTURES } from "@/pictures/pictures";
import { knock, takeSeat, type Door } from "./ask";
import DeskButton from "./DeskButton.vue";

/** The way in: the class code, the child's own name, and three pictures in their order. */
const emit = defineEmits<{ joined: [] }>();
const LENGTH = 3;

/** A device stays with the desk it was at: the next child finds its name there. */
const KEPT = "vantick.desk.code";
const kept = sessionStorage.getItem(KEPT) ?? "";
const code = ref(new URLSearchParams(location.search).get("code") ?? kept);
const field = ref<{ focus: () => void }>();
const door = shallowRef<Door | null>(null);
const child = shallowRef<Child | null>(null);
const chosen = ref<string[]>([]);
const errorMessage = ref("");
const busy = ref(false);
const heading = ref<HTMLElement>();
const places = computed(() => Array.from({ length: LENGTH }, (_, place) => chosen.value[place]));

async function attempt(step: () => Promise<void>): Promise<void> {
  busy.value = true;
  errorMessage.value = "";
  try {
    await step();
  } catch (error) {
    errorMessage.value = error instanceof Refused ? error.message : "That did not work. Try again.";
  } finally {
    busy.value = false;
    await nextTick();
    if (door.value) heading.value?.focus();
    else field.value?.focus();
  }
}

const enter = (): Promise<void> =>
  attempt(async () => {
    door.value = await knock(code.value);
    sessionStorage.setItem(KEPT, door.value.code);
  });

/** The desk of before may be closed by now: then the code is asked for like at first. */
async function enterKept(): Promise<void> {
  await enter();
  if (door.value || code.value !== kept) return;
  sessionStorage.removeItem(KEPT);
  code.value = "";
  errorMessage.value = "";
}

function pick(picked: Child): void {
  child.value = picked;
  chosen.value = [];
  errorMessage.value = "";
  void nextTick(() => heading.value?.focus());
}

function press(picture: string): void {
  if (chosen.value.includes(picture)) return;
  if (chosen.value.length < LENGTH) chosen.value = [...chosen.value, picture];
  if (chosen.value.length === LENGTH) void sit();
}

async function sit(): Promise<void> {
  const [at, who] = [door.value, child.value];
  if (!at || !who) return;
  await attempt(async () => {
    try {
      await takeSeat({ code: at.code, child_id: who.id, pictures: chosen.value });
      emit("joined");
    } finally {
      chosen.value = [];
    }
  });
}

function back(): void {
  errorMessage.value = "";
  if (child.value) child.value = null;
  else {
    door.value = null;
    code.value = "";
    sessionStorage.removeItem(KEPT);
  }
  void nextTick(() => (door.value ? heading.value : field.value)?.focus());
}

onMounted(() => (code.value ? void enterKept() : field.value?.focus()));
</script>

<template>
  <main class="join min-h-0 overflow-y-auto d-flex align-items-center p-3">
    <template v-if="!door">
      <img src="/favicon.svg" alt="" width="56" height="56" />
      <h1 ref="heading" class="fs-160 my-075 text-center" tabindex="-1">
        <label for="code">Class code</label>
      </h1>
      <form class="d-flex flex-wrap justify-content-center gap-075" @submit.prevent="enter">
        <BFormInput
          id="code"
          ref="field"
          v-model="code"
          class="code text-center"
          maxlength="12"
          autocomplete="off"
          autocapitalize="characters"
          spellcheck="false"
          :state="errorMessage ? false : null"
          aria-describedby="join-errorMessage"
        />
        <DeskButton type="submit" class="go" :disabled="busy || !code.trim()">Go</DeskButton>
      </form>
      <p id="join-errorMessage" role="alert" class="errorMessage my-04 tone-misread fw-bold text-center">
        {{ errorMessage }}
      </p>
      <p v-if="!errorMessage" class="hint tone-quiet">It is on the board.</p>
    </template>

    <template v-else-if="!child">
      <h1 ref="heading" class="fs-160 my-075 text-center" tabindex="-1">
        {{ door.class_name }}: who are you?
      </h1>
      <ul class="names d-grid gap-06 mb-075 p-0 list-none">
        <li v-for="pupil in door.children" :key="pupil.id">
          <DeskButton class="key w-100 text-anywhere" @click="pick(pupil)">{{ pupil.name }}</DeskButton>
        </li>
      </ul>
      <DeskButton class="plain" @click="back">Change code</DeskButton>
    </template>

    <template v-else>
      <h1 ref="heading" class="fs-160 my-075 text-center" tabindex="-1">
        {{ child.name }}: your three pictures
      </h1>
      <p class="places d-flex gap-08 m-0" aria-live="polite">
        <span v-for="(picture, place) in places" :key="place" class="place p-2" :class="{ full: picture }">
          <PictureMark v-if="picture" :id="picture" label />
        </span>
      </p>
      <p role="alert" class="errorMessage my-04 tone-misread fw-bold text-center">{{ errorMessage }}</p>
      <div class="pictures d-grid gap-06" :class="{ busy }">
        <DeskButton
          v-for="picture in door.pictures"
          :key="picture"
          class="key square p-06"
          :disabled="busy"
          :aria-disabled="chosen.includes(picture)"
          :aria-label="PICTURES[picture]?.name"
          @click="press(picture)"
        >
          <PictureMark :id="picture" />
        </DeskButton>
      </div>
      <p class="ways d-flex gap-3 mt-06 mb-0">
        <DeskButton class="plain" @click="back">Not {{ child.name }}</DeskButton>
        <DeskButton class="plain" :disabled="!chosen.length" @click="chosen = chosen.slice(0, -1)">
          Undo
        </DeskButton>
      </p>
    </template>
  </main>
</template>

<style scoped lang="scss">
.join {
  flex: 1;
  flex-direction: column;

  &::before,
  &::after {
    content: "";
    margin: auto;
  }
}

h1 {
  &:focus {
    outline: none;
  }
}

.code {
  width: 11rem;
  padding: 0.2rem 0.5rem;
  border: 2px solid var(--v-edge);
  border-radius: 0.8rem;
  background: var(--v-card);
  font: inherit;
  font-size: 2.2rem;
  text-transform: uppercase;
  letter-spacing: 0.12em;
}

.errorMessage {
  min-height: 1.6em;
}

.names {
  grid-template-columns: repeat(auto-fill, minmax(8.5rem, 1fr));
  width: min(60rem, 100%);

  .key {
    min-height: 3.4rem;
  }
}

.place {
  width: 4.5rem;
  height: 4.5rem;
  border: 2px dashed var(--v-edge);
  border-radius: 0.8rem;

  &.full {
    border-style: solid;
    background: var(--v-card);
  }
}

.pictures {
  grid-template-columns: repeat(4, minmax(4rem, 5.6rem));

  .key[aria-disabled="true"] {
    opacity: 0.35;
  }
}

@media (min-width: 48rem) and (max-height: 50rem) {
  .pictures {
    grid-template-columns: repeat(8, minmax(4rem, 5.6rem));
  }
}

/* Small phones: all pictures in the window, none to be looked for. */
@media (max-width: 48rem) and (max-height: 47rem) {
  .pictures {
    grid-template-columns: repeat(6, minmax(2.75rem, 4.2rem));
    gap: 0.4rem;

    .key {
      padding: 0.3rem;
    }
  }

  .place {
    width: 3.4rem;
    height: 3.4rem;
  }

  h1 {
    font-size: 1.3rem;
    margin: 0.3rem 0;
  }
}

@media (min-width: 34rem) and (max-height: 30rem) {
  .pictures {
    grid-template-columns: repeat(12, minmax(2.5rem, 4.2rem));
  }

  .place {
    width: 2.8rem;
    height: 2.8rem;
    padding: 0.2rem;
  }
}
</style>
