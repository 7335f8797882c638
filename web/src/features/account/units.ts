import type { SiteUnits } from '@/shared/units'

interface UnitChoice {
  field: Exclude<keyof SiteUnits, 'currency'>
  legend: string
  choices: { value: string; label: string; hint?: string }[]
}

/** What a site can choose, each alone. */
export const UNIT_CHOICES: UnitChoice[] = [
  {
    field: 'volume',
    legend: 'Volume and flow',
    choices: [
      { value: 'LITRE', label: 'Litres' },
      { value: 'US_GALLON', label: 'US gallons' },
      { value: 'UK_GALLON', label: 'Imperial gallons' },
    ],
  },
  {
    field: 'mass',
    legend: 'Weight',
    choices: [
      { value: 'GRAM', label: 'g, kg' },
      { value: 'OUNCE', label: 'oz, lb' },
    ],
  },
  {
    field: 'length',
    legend: 'Length',
    choices: [
      { value: 'METRE', label: 'Metres' },
      { value: 'FOOT', label: 'Feet' },
    ],
  },
  {
    field: 'dose',
    legend: 'Doses',
    choices: [
      { value: 'MILLILITRE', label: 'mL' },
      { value: 'US_TEASPOON', label: 'US teaspoons' },
      { value: 'UK_FLUID_OUNCE', label: 'Imperial fl oz' },
    ],
  },
  {
    field: 'temperature',
    legend: 'Temperature',
    choices: [
      { value: 'CELSIUS', label: '°C' },
      { value: 'FAHRENHEIT', label: '°F' },
    ],
  },
  {
    field: 'concentration',
    legend: 'Concentration',
    choices: [
      { value: 'MG_PER_L', label: 'mg/L' },
      { value: 'PPM', label: 'ppm' },
    ],
  },
  {
    field: 'hardness',
    legend: 'Hardness',
    choices: [
      { value: 'DH', label: '°dH' },
      { value: 'PPM_CACO3', label: 'ppm of CaCO₃' },
      { value: 'MEQ_PER_L', label: 'meq/L' },
    ],
  },
  {
    field: 'salinity',
    legend: 'Salinity',
    choices: [
      { value: 'G_PER_L', label: 'g/L' },
      { value: 'SPECIFIC_GRAVITY', label: 'Specific gravity' },
    ],
  },
  {
    field: 'dateOrder',
    legend: 'Dates',
    choices: [
      { value: 'DAY_FIRST', label: '31/12/2026' },
      { value: 'MONTH_FIRST', label: '12/31/2026' },
      { value: 'YEAR_FIRST', label: '2026-12-31' },
    ],
  },
  {
    field: 'weekStart',
    legend: 'The week begins on',
    choices: [
      { value: 'MONDAY', label: 'Monday' },
      { value: 'SUNDAY', label: 'Sunday' },
      { value: 'SATURDAY', label: 'Saturday' },
    ],
  },
  {
    field: 'decimalSign',
    legend: 'Decimals',
    choices: [
      { value: 'POINT', label: '2.5', hint: 'A comma is understood too.' },
      { value: 'COMMA', label: '2,5', hint: 'A point is understood too.' },
    ],
  },
]
