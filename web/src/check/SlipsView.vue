<script setup lang="ts">
import { computed, ref } from "vue";
import { previewCheckSheet, readCheck, useApiQuery, useFacts } from "@/api";
import { useRouteNumber } from "@/route";
import { useOwnClass } from "@/school";
import { LeftToWrite, PagePreview, PrintHow, printed, usePrinting } from "@/shared";
import { countedChildren } from "@/words";

/** The check on paper, as it will print: the server draws it, here and in the file. */
const facts = useFacts();
const how = usePrinting();
const named = ref(true);
const id = useRouteNumber("id");
const { data: check, errorMessage } = useApiQuery(readCheck, () => id.value && [id.value]);
const { data: preview } = useApiQuery(
  previewCheckSheet,
  () => id.value && [id.value, { names: named.value }],
  {
    meanwhile: true,
  },
);
useOwnClass(() => check.value?.class_id);
const path = computed(() => `/api/checks/${id.value}/sheet.pdf`);
const file = computed(() => printed(path.value, how.value, { names: String(named.value) }));
/** One more of the same, for whoever lost theirs. */
const spare = computed(() => printed(path.value, { part: "sheets" }, { spare: "true" }));
const children = computed(() => check.value?.children.length ?? 0);
</script>

<template>
  <div class="page">
    <p v-if="errorMessage" role="alert" class="field-error">{{ errorMessage }}</p>
    <p v-else-if="!check || !preview" class="quiet" aria-live="polite">Making the slips…</p>
    <template v-else>
      <div class="page-head">
        <h1>Slips</h1>
        <span class="quiet">{{ facts.titleOf(check) }} · {{ countedChildren(children) }}</span>
        <div class="actions align-items-center">
          <BFormCheckbox v-model="named" switch :unchecked-value="false">Names on the slips</BFormCheckbox>
          <PrintHow :paper="preview.paper" answered />
          <BButton variant="primary" :href="file" target="_blank" rel="noopener">
            <i class="bi bi-printer" aria-hidden="true"></i>
            Print
          </BButton>
          <BButton
            v-if="!check.own_times"
            variant="outline-primary"
            :href="spare"
            target="_blank"
            rel="noopener"
          >
            Spare slip
          </BButton>
          <BButton variant="outline-primary" :to="{ name: 'check', params: { id } }">Enter answers</BButton>
        </div>
      </div>
      <LeftToWrite v-if="named" :names="preview.unprintable" />
      <div class="pages d-grid gap-4 mx-auto">
        <PagePreview
          v-for="(svg, at) in preview.pages"
          :key="`s${at}`"
          :svg="svg"
          :label="`Slips, page ${at + 1}`"
        />
        <PagePreview
          v-for="(svg, at) in preview.answer_pages"
          :key="`a${at}`"
          :svg="svg"
          :label="`Answers, page ${at + 1}`"
        />
      </div>
    </template>
  </div>
</template>

<style scoped lang="scss">
.pages {
  max-width: 44rem;
}
</style>
