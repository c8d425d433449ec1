/** Buttons with a look of their own: Bootstrap's states and roles, none of its box. */
declare module "bootstrap-vue-next" {
  interface BaseButtonVariant {
    bare: unknown;
  }
}

export {};
