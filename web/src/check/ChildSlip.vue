<script setup lang="ts">
import { useFacts, type Check } from "@/api";
import { DialFace } from "@/dial";

/** One child's slip: dials, and a line to answer on beside or below each. */
defineProps<{ check: Check; name: string; digits: boolean }>();

const facts = useFacts();
</script>

<template>
  <section class="slip" :aria-label="name ? `Slip for ${name}` : 'Slip'">
    <header class="d-flex justify-content-between gap-3">
      <span>
        Name:
        <strong v-if="name">{{ name }}</strong>
        <i v-else class="line name"></i>
      </span>
      <span>{{ digits ? "Write the time in digits." : "Write the time in words." }}</span>
    </header>
    <ol class="list-unstyled p-0 m-0" :class="{ digits }">
      <li v-for="(item, at) in check.items" :key="item.id">
        <div class="clock flex-none"><DialFace :facts="facts.of(item.dial)" /></div>
        <div class="answer d-flex align-items-end" :aria-label="`Answer ${at + 1}`" role="img">
          <template v-if="digits">
            <i class="line"></i>
            <b>:</b>
            <i class="line"></i>
          </template>
          <i v-else class="line"></i>
        </div>
      </li>
    </ol>
  </section>
</template>

<style scoped lang="scss">
.slip {
  background: var(--v-card);
  border-bottom: 1px dashed var(--v-quiet);
  padding: 6mm 8mm;
  break-inside: avoid;
}

header {
  margin-bottom: 4mm;
}

ol {
  display: grid;
  grid-template-columns: 1fr 1fr;
  gap: 4mm 8mm;

  &.digits {
    grid-template-columns: repeat(5, 1fr);
    gap: 5mm;

    li {
      display: block;
    }

    .clock {
      width: 100%;
      height: auto;
      aspect-ratio: 1;
    }

    .answer {
      margin-top: 7mm;
    }
  }
}

li {
  display: flex;
  align-items: end;
  gap: 4mm;
}

.clock {
  width: 29mm;
  height: 29mm;
}

.answer {
  flex: 1;
  gap: 1.5mm;
  padding-bottom: 5mm;
}

.digits .answer {
  padding-bottom: 0;
}

.line {
  flex: 1;
  border-bottom: 1px solid var(--v-ink);
  height: 1px;
}

.line.name {
  display: inline-block;
  width: 50mm;
}

@media print {
  .slip {
    padding: 4mm 0 6mm;
  }
}
</style>
