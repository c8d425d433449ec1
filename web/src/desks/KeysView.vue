<script setup lang="ts">
import { NothingYet } from "@/shared";
import { computed, ref } from "vue";
import { useRoute } from "vue-router";
import { readKeys, renewKey, useApiQuery, useApiMutation } from "@/api";
import { SureButton } from "@/ui";
import { PictureMark, PICTURES } from "@/pictures";
import { useClasses } from "@/school";

/** The three pictures of each child, to be shown again, or printed as cards. */
const route = useRoute();
const classes = useClasses();
/** Covered until asked for: a class may be looking on. */
const shown = ref<number | "all" | null>(Number(route.query.child) || null);
const uncovered = (childId: number): boolean => shown.value === "all" || shown.value === childId;
const { errorMessage: wrong, busy, run } = useApiMutation();
const {
  data: all,
  errorMessage,
  reload,
} = useApiQuery(readKeys, () => classes.current && [classes.current.id], { select: (found) => found.keys });
/** Of one child alone, where one was asked for. */
const only = computed(
  () => all.value?.find((key) => key.child_id === Number(route.query.child))?.child_id ?? null,
);
const keys = computed(() => all.value?.filter((key) => !only.value || key.child_id === only.value));
const nameOf = (id: number): string => classes.current?.children.find((child) => child.id === id)?.name ?? "";
const spoken = (pictures: string[]): string =>
  pictures.map((picture) => PICTURES[picture]?.name ?? picture).join(", ");

const renew = (childId: number): Promise<boolean> =>
  run(async () => {
    if (!classes.current) return;
    await renewKey(classes.current.id, childId);
    await reload();
    if (shown.value !== "all") shown.value = childId;
  });

const print = (): void => window.print();
</script>

<template>
  <div class="page">
    <div class="page-head no-print">
      <h1>The children's pictures</h1>
      <p class="quiet">A child signs in with three pictures, in order. Show each child only their own.</p>
      <div class="actions">
        <BButton
          v-if="keys?.length"
          variant="outline-primary"
          :aria-pressed="shown === 'all'"
          @click="shown = shown === 'all' ? null : 'all'"
        >
          {{ shown === "all" ? "Hide all" : "Show all" }}
        </BButton>
        <BButton v-if="keys?.length" variant="primary" @click="print">
          <i class="bi bi-printer" aria-hidden="true"></i>
          Print the cards
        </BButton>
      </div>
    </div>
    <p v-if="errorMessage || wrong" class="field-error" role="alert">{{ errorMessage || wrong }}</p>
    <NothingYet v-else-if="!classes.current" :to="{ name: 'new-class' }" does="Make one">
      Each child in a class has pictures.
    </NothingYet>
    <p v-else-if="!keys" class="quiet" aria-live="polite">Loading…</p>
    <RouterLink v-if="only" class="d-inline-block mb-3 no-print" :to="{ name: 'keys' }">
      All children's pictures
    </RouterLink>
    <ul v-if="keys" class="cards d-grid gap-3 m-0 p-0 list-unstyled" :class="{ only }">
      <li
        v-for="key in keys"
        :key="key.child_id"
        class="d-grid gap-03 px-11 py-08 border rounded-10 on-card break-avoid"
      >
        <strong>{{ nameOf(key.child_id) }}</strong>
        <span
          class="three d-flex gap-08"
          :class="{ covered: !uncovered(key.child_id) }"
          role="img"
          :aria-label="uncovered(key.child_id) ? spoken(key.pictures) : 'hidden'"
        >
          <span v-for="picture in key.pictures" :key="picture">
            <PictureMark :id="picture" />
          </span>
        </span>
        <span class="ways d-flex flex-wrap align-items-center gap-2 no-print fs-95">
          <BButton
            v-if="shown !== 'all'"
            size="sm"
            variant="outline-primary"
            :aria-pressed="shown === key.child_id"
            @click="shown = shown === key.child_id ? null : key.child_id"
          >
            {{ shown === key.child_id ? "Hide" : "Show" }}
            <span class="visually-hidden">the pictures of {{ nameOf(key.child_id) }}</span>
          </BButton>
          <SureButton
            size="sm"
            variant="link"
            :title="`New pictures for ${nameOf(key.child_id)}?`"
            does="New pictures"
            keeps="Cancel"
            :busy="busy"
            :act="() => renew(key.child_id)"
          >
            New pictures
            <span class="visually-hidden">for {{ nameOf(key.child_id) }}</span>
            <template #says>The old pictures will stop working.</template>
          </SureButton>
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped lang="scss">
.cards {
  grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
}

.three {
  span {
    width: 3.2rem;
    height: 3.2rem;
  }
}

.only {
  grid-template-columns: minmax(0, 30rem);
  font-size: 1.5rem;

  .three {
    gap: min(1.4rem, 4vw);
  }

  .three span {
    width: min(7rem, 21vw);
    height: min(7rem, 21vw);
  }
}

@media screen {
  .covered {
    border-radius: 0.6rem;
    background: var(--v-cover);

    > span {
      visibility: hidden;
    }
  }
}

.ways {
  .btn-link {
    color: var(--v-quiet);
  }
}

@media print {
  .cards {
    grid-template-columns: repeat(3, 1fr);
    gap: 0;

    li {
      border-radius: 0;
      border-style: dashed;
    }
  }
}
</style>
