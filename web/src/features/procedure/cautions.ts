/** Whether a caution stands in an earlier step of the same service, and so was read already. */
export function toldBefore(
  steps: { id: string; cautions: string[] }[],
  step: string,
  caution: string,
): boolean {
  const first = steps.findIndex((one) => one.cautions.includes(caution))
  return first >= 0 && first < steps.findIndex((one) => one.id === step)
}
