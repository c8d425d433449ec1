export { default as DialFace } from "./DialFace.vue";
export { default as TurnedDial, type Loose } from "./TurnedDial.vue";
