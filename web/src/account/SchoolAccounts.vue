<script setup lang="ts">
import { computed, ref } from "vue";
import { removeAccount, setPassword, useApiMutation, type Account } from "@/api";
import { FieldGroup, PresentPassword } from "@/ui";
import { counted } from "@/words";

/** The accounts of the school, for whoever made it: a new password, and the end of an account. */
const props = defineProps<{ accounts: readonly Account[]; own: string }>();
const emit = defineEmits<{ changed: [words: string] }>();

const { busy, wrong, elsewhere, run } = useApiMutation();
const chosen = ref<{ account: Account; what: "password" | "removal" } | null>(null);
const password = ref("");
const present = ref("");
const heir = ref<number | null>(null);
const heirs = computed(() =>
  props.accounts
    .filter((account) => account.id !== chosen.value?.account.id)
    .map((account) => ({ value: account.id, text: account.name })),
);

function open(account: Account, what: "password" | "removal"): void {
  chosen.value = { account, what };
  password.value = present.value = "";
  heir.value = account.classes
    ? (heirs.value.find((choice) => choice.text === props.own)?.value ?? null)
    : null;
}

async function act(): Promise<void> {
  if (!chosen.value) return;
  const { account, what } = chosen.value;
  const done = await run(() =>
    what === "password"
      ? setPassword(account.id, { password: password.value, present_password: present.value })
      : removeAccount(account.id, {
          classes_to: account.classes ? heir.value : null,
          present_password: present.value,
        }),
  );
  if (!done) return;
  chosen.value = null;
  emit(
    "changed",
    what === "password"
      ? `${account.name} has a new password and is signed out everywhere.`
      : `Account deleted: ${account.name}.`,
  );
}
</script>

<template>
  <section aria-labelledby="accounts-head">
    <h2 id="accounts-head">Accounts of this school</h2>
    <ul class="list-unstyled m-0">
      <li
        v-for="account in accounts"
        :key="account.id"
        class="d-flex flex-wrap align-items-center justify-content-between gap-2"
      >
        <span>
          {{ account.name }}
          <span class="quiet">{{ counted(account.classes, "class", "classes") }}</span>
        </span>
        <span v-if="account.name !== own">
          <BButton
            variant="link"
            size="sm"
            :aria-label="`New password for ${account.name}`"
            @click="open(account, 'password')"
          >
            New password
          </BButton>
          <BButton
            variant="link"
            size="sm"
            :aria-label="`Delete the account of ${account.name}`"
            @click="open(account, 'removal')"
          >
            Delete
          </BButton>
        </span>
      </li>
    </ul>
    <BModal
      :model-value="chosen !== null"
      :title="
        chosen?.what === 'password'
          ? `New password for ${chosen.account.name}`
          : `Delete the account of ${chosen?.account.name}?`
      "
      :ok-title="chosen?.what === 'password' ? 'Set password' : 'Delete account'"
      cancel-title="Cancel"
      cancel-variant="outline-primary"
      :ok-disabled="busy || !present || (chosen?.what === 'password' && !password)"
      centered
      no-animation
      no-header-close
      teleport-to="body"
      @update:model-value="chosen = null"
      @ok.prevent="act"
    >
      <form v-if="chosen?.what === 'password'" novalidate @submit.prevent="act">
        <FieldGroup id="their-password" v-slot="{ state }" label="Password" :wrong="wrong('password')">
          <BFormInput
            id="their-password"
            v-model="password"
            :state="state"
            type="password"
            autocomplete="new-password"
          />
        </FieldGroup>
        <PresentPassword id="present-set" v-model="present" :wrong="wrong('present_password')" />
        <p class="m-0">They are signed out everywhere. They can change it once they have signed in.</p>
      </form>
      <template v-else-if="chosen">
        <p>They can't sign in any more. Nothing the children did is lost.</p>
        <FieldGroup
          v-if="chosen.account.classes"
          id="heir"
          v-slot="{ state }"
          :label="`Who gets their ${counted(chosen.account.classes, 'class', 'classes')}?`"
          :wrong="wrong('classes_to')"
        >
          <BFormSelect id="heir" v-model="heir" :options="heirs" :state="state" />
        </FieldGroup>
        <PresentPassword id="present-removal" v-model="present" :wrong="wrong('present_password')" />
      </template>
      <p v-if="elsewhere('password', 'classes_to', 'present_password')" class="field-error" role="alert">
        {{ elsewhere("password", "classes_to", "present_password") }}
      </p>
    </BModal>
  </section>
</template>
