export * from "./client";
export { useFacts } from "./facts";
export { useLoaded, wordsOf } from "./loaded";
export * from "./questions";
