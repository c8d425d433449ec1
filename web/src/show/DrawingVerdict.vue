<script setup lang="ts">
import { computed } from "vue";
import { useFacts, type Drawing } from "@/api";

/** What core says of hands that were set by themselves, and the way to put them right. */
const props = defineProps<{ drawing: Drawing | null; errorMessage: string }>();
defineEmits<{ mend: []; gear: [] }>();

const facts = useFacts();
const WORDS = {
  well_placed: { title: "This clock is right", icon: "bi-check-circle-fill", tone: "right" },
  readable: { title: "Readable, but not exact", icon: "bi-dash-circle-fill", tone: "slip" },
  misleading: { title: "Misleading", icon: "bi-x-octagon-fill", tone: "misread" },
} as const;
const words = computed(() => (props.drawing ? WORDS[props.drawing.verdict] : undefined));
const invites = computed(() => props.drawing?.invites.map((id) => facts.misreading(id)) ?? []);
</script>

<template>
  <section
    class="verdict d-flex flex-column align-items-start gap-3"
    aria-label="What is wrong with this clock"
    aria-live="polite"
  >
    <p class="eyebrow m-0">Hands unlinked: each moves on its own</p>
    <p v-if="errorMessage" class="field-error" role="alert">{{ errorMessage }}</p>
    <template v-else-if="drawing && words">
      <h2 class="m-0" :class="words.tone">
        <i class="bi" :class="words.icon" aria-hidden="true"></i>
        {{ words.title }}
      </h2>
      <p class="reason m-0 lh-135">{{ drawing.reason }}</p>
      <div v-if="invites.length" class="invites">
        <p class="eyebrow m-0">Children may</p>
        <p v-for="invite in invites" :key="invite.id">{{ invite.does }}</p>
      </div>
      <BButton v-if="drawing.verdict !== 'well_placed'" variant="primary" @click="$emit('mend')">
        Fix the hour hand
        <kbd class="key" aria-hidden="true">R</kbd>
      </BButton>
    </template>
    <p v-else class="quiet">Let go of the hand to see what it shows.</p>
    <BButton variant="outline-primary" @click="$emit('gear')">
      Link hands
      <kbd class="key" aria-hidden="true">U</kbd>
    </BButton>
  </section>
</template>

<style scoped lang="scss">
h2 {
  font-size: clamp(1.5rem, 1.9vw, 2.4rem);
}

.right {
  color: var(--v-right);
}

.slip {
  color: var(--v-slip);
}

.misread {
  color: var(--v-misread);
}

.reason {
  font-size: clamp(1.2rem, 1.5vw, 2rem);
}

.invites p {
  margin: 0;
}
</style>
