export * from "./client";
export { newId, newSeed } from "./ids";
export { useFacts, type Choices } from "./facts";
export { queries, useAsked, wordsOf, type Asked } from "./asked";
export { useDoing, type Doing } from "./doing";
export * from "./questions";
export * from "./schoolQuestions";
export * from "./paper";
export { fileSent } from "./sent";
