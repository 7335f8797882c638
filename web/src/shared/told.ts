/** What a sentence of a catalogue can have put into it: words that are ready, or a number. */
export type Told = string | number
