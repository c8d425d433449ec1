export { default as DialFace } from "./DialFace.vue";
export { default as StepDial } from "./StepDial.vue";
export { default as TurnedDial } from "./TurnedDial.vue";
export { handsIn, type Loose } from "./useLooseHands";
export { default as ReadingSteps } from "./ReadingSteps.vue";
export { linesOf } from "./reading";
export { slice, RADII } from "./geometry";
