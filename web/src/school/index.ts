export { useClasses } from "./classes";
export { useOwnClass } from "./useOwnClass";
