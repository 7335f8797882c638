/** The places of the product, in the order of the rail. */
export interface Place {
  name: string
  label: string
  /** Second key after g. */
  key: string
}

export const PLACES: Place[] = [
  { name: 'rounds', label: 'Rounds', key: 'r' },
  { name: 'tanks', label: 'Tanks', key: 't' },
  { name: 'plan', label: 'Plan', key: 'p' },
  { name: 'water', label: 'Water', key: 'w' },
  { name: 'stores', label: 'Stores', key: 's' },
  { name: 'bench', label: 'Bench', key: 'b' },
  { name: 'ledger', label: 'Ledger', key: 'h' },
]
