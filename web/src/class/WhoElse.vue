<script setup lang="ts">
import { computed, ref } from "vue";
import {
  endShare,
  transferClass,
  listShares,
  shareClass,
  useApiQuery,
  useApiMutation,
  type SchoolClass,
} from "@/api";
import { FieldGroup, SureButton } from "@/ui";
import { useClasses } from "@/school";
import { dayWords, plusDays, today } from "@/words";

/** Who else has the class: colleagues who share it, substitutes until a day, whoever it is handed over to. */
const props = defineProps<{ schoolClass: SchoolClass }>();

const WEEK = 7;
const classes = useClasses();
const { data } = useApiQuery(listShares, () => [props.schoolClass.id]);
const { busy, wrong, elsewhere, run } = useApiMutation();
const colleague = ref<number | null>(null);
const how = ref<"share" | "lend">("share");
const until = ref(plusDays(today(), WEEK));
const colleagues = computed(() =>
  (data.value?.colleagues ?? []).map((colleague) => ({
    value: colleague.id as number | null,
    text: colleague.name,
  })),
);
const options = computed(() => [{ value: null, text: "Choose…" }, ...colleagues.value]);
const named = computed(() => colleagues.value.find((choice) => choice.value === colleague.value)?.text ?? "");

const share = (): Promise<boolean> =>
  run(async () => {
    if (colleague.value === null) return;
    await shareClass(props.schoolClass.id, {
      account_id: colleague.value,
      until: how.value === "lend" ? until.value : null,
    });
  });

const end = (accountId: number): Promise<boolean> =>
  run(async () => {
    await endShare(props.schoolClass.id, accountId);
  });

const give = (): Promise<boolean> =>
  run(async () => {
    if (colleague.value === null) return;
    await transferClass(props.schoolClass.id, { account_id: colleague.value });
    await classes.load();
  });
</script>

<template>
  <BCard v-if="data">
    <h2 class="mb-06">Who else teaches this class</h2>
    <ul v-if="data.shares.length" class="list-unstyled">
      <li
        v-for="other in data.shares"
        :key="other.account_id"
        class="d-flex align-items-center justify-content-between gap-2"
      >
        <span>
          {{ other.name }}
          <span class="quiet">{{ other.until ? `lent until ${dayWords(other.until)}` : "shared" }}</span>
        </span>
        <BButton
          variant="link"
          size="sm"
          :disabled="busy"
          :aria-label="`End access for ${other.name}`"
          @click="end(other.account_id)"
        >
          End access
        </BButton>
      </li>
    </ul>
    <p v-if="!colleagues.length" class="quiet m-0">
      Nobody else has an account here.
      <RouterLink :to="{ name: 'account' }">Add a colleague</RouterLink>
    </p>
    <form v-else novalidate @submit.prevent="share">
      <FieldGroup id="colleague" v-slot="{ state }" label="Colleague" :wrong="wrong('account_id')">
        <BFormSelect id="colleague" v-model="colleague" :options="options" :state="state" />
      </FieldGroup>
      <BFormRadioGroup
        v-model="how"
        name="how"
        class="mb-2"
        aria-label="How"
        :options="[
          { value: 'share', text: 'Share, with the same rights' },
          { value: 'lend', text: 'Lend to a substitute, until' },
        ]"
        stacked
      />
      <FieldGroup
        v-if="how === 'lend'"
        id="until"
        v-slot="{ state }"
        label="Last day"
        :wrong="wrong('until')"
      >
        <BFormInput id="until" v-model="until" type="date" :min="today()" :state="state" />
      </FieldGroup>
      <p v-if="how === 'lend'" class="quiet">
        They can use lessons, checks, devices and answers. They can't change the register or settings.
      </p>
      <div class="d-flex flex-wrap gap-2">
        <BButton type="submit" variant="outline-primary" :disabled="busy || !colleague">
          {{ how === "lend" ? "Lend class" : "Share class" }}
        </BButton>
        <SureButton
          variant="link"
          size="sm"
          :title="`Hand ${schoolClass.name} over to ${named}?`"
          does="Hand over"
          :busy="busy"
          :disabled="busy || !colleague"
          :act="give"
        >
          Hand over…
          <template #says>
            The class and all its records then belong to {{ named }}. It leaves your list of classes.
          </template>
        </SureButton>
      </div>
    </form>
    <p v-if="elsewhere('account_id', 'until')" class="field-error" role="alert">
      {{ elsewhere("account_id", "until") }}
    </p>
  </BCard>
</template>
