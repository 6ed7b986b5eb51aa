const PREFIX = 'fleam.'

/** Settings of this device; a browser that keeps nothing is put up with. */
export function readSetting(name: string): string | null {
  try {
    return localStorage.getItem(PREFIX + name)
  } catch {
    return null
  }
}

/** Keeps a setting; null lets it go. */
export function writeSetting(name: string, value: string | null): void {
  try {
    if (value === null) localStorage.removeItem(PREFIX + name)
    else localStorage.setItem(PREFIX + name, value)
  } catch {
    // Private windows may refuse: the choice then lasts as long as the page.
  }
}

/** Names of everything that is set on this device. */
export function settingNames(): string[] {
  try {
    return Object.keys(localStorage).flatMap((key) => (key.startsWith(PREFIX) ? [key.slice(PREFIX.length)] : []))
  } catch {
    return []
  }
}
