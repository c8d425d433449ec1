<script setup lang="ts">
import { ref, shallowRef } from "vue";
import { readKeys, renewKey, useLoaded, wordsOf } from "@/api";
import { useClasses } from "@/class";
import { PictureMark, PICTURES } from "@/pictures";

/** The three pictures of each child, to be shown again, or printed as cards. */
const classes = useClasses();
const renewed = shallowRef<ReadonlyMap<number, string[]>>(new Map());
const asking = ref<number | null>(null);
const wrong = ref("");
const { data: keys, trouble } = useLoaded(
  () => classes.current?.id,
  async () => {
    renewed.value = new Map();
    return classes.current ? readKeys(classes.current.id) : null;
  },
);
const nameOf = (id: number): string => classes.current?.children.find((child) => child.id === id)?.name ?? "";
const spoken = (pictures: string[]): string => pictures.map((one) => PICTURES[one]?.name ?? one).join(", ");

async function renew(childId: number): Promise<void> {
  if (!classes.current) return;
  wrong.value = "";
  try {
    const key = await renewKey(classes.current.id, childId);
    renewed.value = new Map([...renewed.value, [childId, key.pictures]]);
    asking.value = null;
  } catch (error) {
    wrong.value = wordsOf(error);
  }
}

const print = (): void => window.print();
</script>

<template>
  <div class="page">
    <div class="page-head no-print">
      <h1>The children's pictures</h1>
      <p class="quiet">
        Three in their order let a child in at the desk. Show each child their own card only.
      </p>
      <div class="actions">
        <BButton v-if="keys?.length" variant="primary" @click="print">
          <i class="bi bi-printer" aria-hidden="true"></i>
          Print the cards
        </BButton>
      </div>
    </div>
    <p v-if="trouble || wrong" class="field-error" role="alert">{{ trouble || wrong }}</p>
    <p v-else-if="!classes.current">
      Pictures belong to the children of a class.
      <RouterLink :to="{ name: 'new-class' }">Make one</RouterLink>
    </p>
    <p v-else-if="!keys" class="quiet" aria-live="polite">Looking for them…</p>
    <ul v-else class="cards">
      <li v-for="key in keys" :key="key.child_id">
        <strong>{{ nameOf(key.child_id) }}</strong>
        <span class="three" role="img" :aria-label="spoken(renewed.get(key.child_id) ?? key.pictures)">
          <span v-for="picture in renewed.get(key.child_id) ?? key.pictures" :key="picture">
            <PictureMark :id="picture" />
          </span>
        </span>
        <span class="ways no-print">
          <template v-if="asking === key.child_id">
            The old ones open nothing then.
            <BButton size="sm" variant="primary" @click="renew(key.child_id)">Give others</BButton>
            <BButton size="sm" variant="outline-primary" @click="asking = null">Keep</BButton>
          </template>
          <BButton v-else variant="link" size="sm" @click="asking = key.child_id">
            Other pictures
            <span class="visually-hidden">for {{ nameOf(key.child_id) }}</span>
          </BButton>
        </span>
      </li>
    </ul>
  </div>
</template>

<style scoped lang="scss">
.cards {
  display: grid;
  grid-template-columns: repeat(auto-fill, minmax(15rem, 1fr));
  gap: 1rem;
  margin: 0;
  padding: 0;
  list-style: none;

  li {
    display: grid;
    gap: 0.3rem;
    padding: 0.8rem 1.1rem;
    border: 1px solid var(--v-line);
    border-radius: var(--v-radius);
    background: var(--v-card);
    break-inside: avoid;
  }
}

.three {
  display: flex;
  gap: 0.8rem;

  span {
    width: 3.2rem;
    height: 3.2rem;
  }
}

.ways {
  display: flex;
  flex-wrap: wrap;
  align-items: center;
  gap: 0.4rem;
  font-size: 0.95rem;

  .btn-link {
    padding-left: 0;
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
