<script setup lang="ts">
import { useClipboard } from "@vueuse/core";
import { ref } from "vue";
import {
  LIMITS,
  listTokens,
  makeToken,
  useApiQuery,
  useApiMutation,
  withdrawToken,
  type TokenScope,
} from "@/api";
import { FieldGroup, SureButton } from "@/ui";
import { dayWords } from "@/words";

/** Tokens by which other programs come in to the class. A token is shown once. */
const props = defineProps<{ classId: number }>();

const { data } = useApiQuery(listTokens, () => [props.classId], { select: (found) => found.tokens });
const { busy, wrong, elsewhere, run } = useApiMutation();
const name = ref("");
const scope = ref<TokenScope>("reading");
const made = ref("");
const { copy, copied, isSupported } = useClipboard({ legacy: true });
const SCOPES = [
  { value: "reading", text: "read" },
  { value: "typing", text: "read and add answers" },
];

const make = (): Promise<boolean> =>
  run(async () => {
    made.value = (await makeToken(props.classId, { name: name.value, scope: scope.value })).token;
    name.value = "";
  });

const withdraw = (id: number): Promise<boolean> =>
  run(async () => {
    await withdrawToken(props.classId, id);
    made.value = "";
  });

const used = (day: string | null): string => (day ? `used ${dayWords(day)}` : "not used yet");
</script>

<template>
  <BCard>
    <h2 class="mb-06">Other programs</h2>
    <p class="quiet">
      A program with a token can read this class.
      <a href="/api/docs" target="_blank" rel="noopener">How programs ask</a>
    </p>
    <ul v-if="data?.length" class="list-unstyled">
      <li
        v-for="entry in data"
        :key="entry.id"
        class="d-flex align-items-center justify-content-between gap-2"
      >
        <span>
          {{ entry.name }}
          <span class="quiet">
            {{ entry.scope === "typing" ? "adds answers" : "reads" }}, {{ used(entry.used_on) }}
          </span>
        </span>
        <SureButton
          variant="link"
          size="sm"
          :title="`Withdraw the token for ${entry.name}?`"
          does="Withdraw"
          :busy="busy"
          :act="() => withdraw(entry.id)"
        >
          Withdraw…
          <template #says>The program can no longer get in. You can make a new token for it.</template>
        </SureButton>
      </li>
    </ul>
    <div v-if="made" class="border rounded-07 p-3 mb-3" role="status">
      <p class="mb-2">Copy this token now. It won't be shown again.</p>
      <p class="text-anywhere mb-2">
        <code>{{ made }}</code>
      </p>
      <BButton v-if="isSupported" variant="primary" size="sm" @click="copy(made)">
        {{ copied ? "Copied" : "Copy token" }}
      </BButton>
    </div>
    <form novalidate @submit.prevent="make">
      <FieldGroup id="token-name" v-slot="{ state }" label="What is it for?" :wrong="wrong('name')">
        <BFormInput id="token-name" v-model="name" :maxlength="LIMITS.TokenName" :state="state" />
      </FieldGroup>
      <FieldGroup id="token-scope" label="It may" :wrong="wrong('scope')">
        <BFormSelect id="token-scope" v-model="scope" :options="SCOPES" />
      </FieldGroup>
      <p v-if="elsewhere('name', 'scope')" class="field-error" role="alert">
        {{ elsewhere("name", "scope") }}
      </p>
      <BButton type="submit" variant="outline-primary" :disabled="busy || !name.trim()">Make token</BButton>
    </form>
  </BCard>
</template>
