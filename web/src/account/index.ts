export { default as SignInView } from "./SignInView.vue";
export { useSession } from "./session";
