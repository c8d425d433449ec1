<script setup lang="ts">
import { useFacts } from "@/api";
import { DialFace } from "@/dial";
import { VerdictMark } from "@/shared";

/** What will happen with a stack of paper, before there is one. */
const facts = useFacts();
const CLOCKS = ["3:30", "7:45"];
</script>

<template>
  <section class="how d-grid gap-4 mt-4" aria-labelledby="how-head">
    <h2 id="how-head" class="eyebrow m-0">How it works</h2>
    <ol class="d-grid gap-4 list-none m-0 p-0">
      <li>
        <div class="picture slip on-card rounded-07" aria-hidden="true">
          <span v-for="corner in 4" :key="corner" class="corner"></span>
          <div v-for="time in CLOCKS" :key="time" class="d-grid justify-items-center gap-1">
            <DialFace :facts="facts.of(time)" detail="small" />
            <span class="line"></span>
          </div>
        </div>
        <strong>The children write on your slips or sheets.</strong>
        <span class="quiet">Print them from a check. The code shows Vantick whose paper it is.</span>
      </li>
      <li>
        <div class="picture on-card rounded-07" aria-hidden="true">
          <span v-for="page in 3" :key="page" class="page-of-stack" :style="{ '--page': page }"></span>
          <i class="bi bi-arrow-down" aria-hidden="true"></i>
        </div>
        <strong>The copier scans the stack into one file.</strong>
        <span class="quiet">In any order, also upside down. Photos are fine too.</span>
      </li>
      <li>
        <div class="picture read on-card rounded-07" aria-hidden="true">
          <span v-for="time in CLOCKS" :key="time" class="d-flex align-items-center gap-2">
            <DialFace :facts="facts.of(time)" detail="small" />
            <VerdictMark :verdict="time === '3:30' ? 'right' : 'misread'" />
          </span>
        </div>
        <strong>{{ facts.inEnglish("Vantick reads and marks digits, %{ticks} and drawn hands.") }}</strong>
        <span class="quiet">
          Unclear answers you see side by side: click the wrong ones, take the rest with one press. You type
          words yourself. No picture shows a name.
        </span>
      </li>
    </ol>
  </section>
</template>

<style scoped lang="scss">
ol {
  grid-template-columns: repeat(auto-fit, minmax(min(100%, 17rem), 1fr));
}

li {
  display: grid;
  gap: 0.3rem;
  align-content: start;
}

.picture {
  position: relative;
  display: flex;
  align-items: center;
  justify-content: center;
  gap: 1.5rem;
  height: 11rem;
  margin-bottom: 0.5rem;
  border: 1px solid var(--v-line);

  :deep(svg) {
    width: 4.5rem;
  }
}

.line {
  width: 5rem;
  height: 1.1rem;
  border-bottom: 2px solid var(--v-ink);
}

.corner {
  position: absolute;
  width: 0.7rem;
  height: 0.7rem;
  background: var(--v-ink);

  &:nth-child(odd) {
    left: 0.8rem;
  }

  &:nth-child(even) {
    right: 0.8rem;
  }

  &:nth-child(-n + 2) {
    top: 0.8rem;
  }

  &:nth-child(n + 3):nth-child(-n + 4) {
    bottom: 0.8rem;
  }
}

.page-of-stack {
  position: absolute;
  width: 6rem;
  height: 7.5rem;
  border: 1px solid var(--v-edge);
  border-radius: 0.3rem;
  background: var(--v-card);
  translate: calc((var(--page) - 2) * 0.7rem) calc((var(--page) - 2) * 0.5rem);
}

.picture > .bi {
  position: relative;
  font-size: 2rem;
}

.read {
  flex-direction: column;
  gap: 0.4rem;
}
</style>
