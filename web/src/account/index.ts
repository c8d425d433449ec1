export { useSession } from "./session";
