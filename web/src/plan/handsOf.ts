/** Which hands a task shows of a clock. */
export function handsOf(sees: string | undefined): "hour" | "minute" | "both" {
  if (sees === "hour_hand") return "hour";
  return sees === "minute_hand" ? "minute" : "both";
}
