const PREFIX = 'fleam.'

/** Settings of this device; a browser that keeps nothing is put up with. */
export function readSetting(name: string): string | null {
  try {
    return localStorage.getItem(PREFIX + name)
  } catch {
    return null
  }
}

export function writeSetting(name: string, value: string): void {
  try {
    localStorage.setItem(PREFIX + name, value)
  } catch {
    // Private windows may refuse: the choice then lasts as long as the page.
  }
}
