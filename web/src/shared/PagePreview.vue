<script setup lang="ts">
import { onMounted, ref, watch } from "vue";

/** A page as it will print: the server's own drawing, put on the screen as it is. */
const props = defineProps<{ svg: string; label: string }>();
const host = ref<HTMLElement>();

function draw(): void {
  const drawn = new DOMParser().parseFromString(props.svg, "image/svg+xml").documentElement;
  drawn.setAttribute("role", "img");
  drawn.setAttribute("aria-label", props.label);
  drawn.removeAttribute("width");
  drawn.removeAttribute("height");
  host.value?.replaceChildren(document.importNode(drawn, true));
}

onMounted(draw);
watch(() => props.svg, draw);
</script>

<template>
  <div ref="host" class="sheet-page on-card border"></div>
</template>

<style scoped lang="scss">
.sheet-page {
  box-shadow: 0 2px 10px rgb(0 0 0 / 6%);

  :deep(svg) {
    display: block;
    width: 100%;
    height: auto;
  }
}
</style>
