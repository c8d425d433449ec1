export * from "./client";
export { useFacts } from "./facts";
