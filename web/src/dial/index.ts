export { default as DialFace } from "./DialFace.vue";
export { default as TurnedDial } from "./TurnedDial.vue";
export type { Loose } from "./useLooseHands";
