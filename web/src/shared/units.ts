const NUMBER = new Intl.NumberFormat('en-GB', { maximumFractionDigits: 1 })

/** A number with its unit, "1,510 L/h"; a thin gap between them. */
export function withUnit(value: number, unit: string): string {
  return `${NUMBER.format(value)} ${unit}`
}

/** Grams, as kilograms once there are many. */
export function mass(grams: number): string {
  return grams >= 1000 ? withUnit(grams / 1000, 'kg') : withUnit(grams, 'g')
}

/** What was typed as a number; undefined for nothing, NaN for what is no number. */
export function typedNumber(text: string): number | undefined {
  const plain = text.trim().replace(',', '.')
  return plain === '' ? undefined : Number(plain)
}
