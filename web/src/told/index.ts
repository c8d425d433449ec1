export { default as RemovedLately } from "./RemovedLately.vue";
export { default as TomorrowCard } from "./TomorrowCard.vue";
export { default as VerdictMark } from "./VerdictMark.vue";
export { default as WhichOnes } from "./WhichOnes.vue";
export { default as WhatTheyTell } from "./WhatTheyTell.vue";
export { countsInWords, STATES } from "./states";
export { SLIPS, VERDICTS } from "./verdicts";
export { seem } from "./wording";
export { useJustRemoved } from "./removed";
