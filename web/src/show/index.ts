export { linesOf } from "./reading";
export { default as ReadingSteps } from "./ReadingSteps.vue";
