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
