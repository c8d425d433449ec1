export { default as PictureMark } from "./PictureMark.vue";
export { PICTURES } from "./pictures";
