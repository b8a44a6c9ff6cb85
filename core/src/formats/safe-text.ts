/** A text cell that a spreadsheet would run as a formula is kept as text by a leading apostrophe. */
export function safeText(text: string): string {
  return /^[=+\-@\t\r]/.test(text) ? `'${text}` : text;
}
