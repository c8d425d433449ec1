export { default as DialFace } from "./DialFace.vue";
export { default as GearedDial } from "./GearedDial.vue";
