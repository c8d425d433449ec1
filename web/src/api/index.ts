export * from "./client";
export { useFacts, type Choices } from "./facts";
export { useLoaded, wordsOf } from "./loaded";
export * from "./questions";
