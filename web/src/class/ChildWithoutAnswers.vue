<script setup lang="ts">
import { KnewBefore } from "@/shared";

/** A child of whom nothing is known yet: find out where it is, or say what it had last year. */
defineProps<{ classId: number; child: { id: number; name: string } }>();
</script>

<template>
  <div>
    <p>No answers yet. Twelve clocks show where {{ child.name }} is.</p>
    <div class="d-flex flex-wrap gap-2 mb-3">
      <BButton variant="primary" :to="{ name: 'new-desk', query: { kind: 'baseline', children: child.id } }">
        On devices
      </BButton>
      <BButton variant="outline-primary" :to="{ name: 'sheets', query: { kind: 'baseline' } }">
        On paper
      </BButton>
    </div>
    <KnewBefore :class-id="classId" :child-ids="[child.id]" :who="child.name" />
  </div>
</template>
