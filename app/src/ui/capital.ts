/** A text as it begins a sentence. */
export const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
