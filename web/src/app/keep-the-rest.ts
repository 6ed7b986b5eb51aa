/** What a page says to the service worker once it runs: to keep the files of the other rooms as well. */
export const KEEP_THE_REST = 'keep-the-rest'
