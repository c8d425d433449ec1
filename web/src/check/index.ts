export { default as VerdictMark } from "./VerdictMark.vue";
export { default as CheckCard } from "./CheckCard.vue";
export { default as WhatTheyTell } from "./WhatTheyTell.vue";
export { VERDICTS } from "./verdicts";
