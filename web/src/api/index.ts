export * from "./client";
export { newId } from "./ids";
export { useFacts, type Choices } from "./facts";
export { useLoaded, wordsOf } from "./loaded";
export * from "./questions";
