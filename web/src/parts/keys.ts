/** True where a key belongs to a field that is being typed in. */
export function isTyping(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null
  return target !== null && (/^(?:INPUT|TEXTAREA|SELECT)$/.test(target.tagName) || target.isContentEditable)
}

/** True where Enter or Space already means something: a focused button or link. */
export function isPressing(event: KeyboardEvent): boolean {
  const target = event.target as HTMLElement | null
  return target !== null && target.closest('button, a, summary, [role="dialog"]') !== null
}

/** The digit 1 to 9 of a key, also of a number pad whose lock is off; null for any other key. */
export function digitOf({ key, code }: Pick<KeyboardEvent, 'key' | 'code'>): number | null {
  const digit = /^Numpad([1-9])$/.exec(code)?.[1] ?? /^[1-9]$/.exec(key)?.[0]
  return digit === undefined ? null : Number(digit)
}
