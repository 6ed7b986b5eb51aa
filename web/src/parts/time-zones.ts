/** Every time zone of the platform's own tables, so that one is chosen and not spelled. */
export const TIME_ZONES: readonly string[] = Intl.supportedValuesOf('timeZone')
