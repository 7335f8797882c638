/** Whether a caution stands in an earlier step of the same service, and so was read already. */
export function toldBefore(
  steps: { id: string; cautions: string[] }[],
  step: string,
  caution: string,
): boolean {
  const first = steps.find((one) => one.cautions.includes(caution))
  return first !== undefined && first.id !== step
}
