export { default as MoreMenu } from "./MoreMenu.vue";
export { useUndoKey } from "./useUndoKey";
export { default as QrCode } from "./QrCode.vue";
export { default as SureButton } from "./SureButton.vue";
export { default as FieldGroup } from "./FieldGroup.vue";
export { default as FileField } from "./FileField.vue";
export { default as HereAlone } from "./HereAlone.vue";
export { default as EraseButton } from "./EraseButton.vue";
export { default as PresentPassword } from "./PresentPassword.vue";
