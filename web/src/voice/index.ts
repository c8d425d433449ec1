export { useVoice } from "./useVoice";
