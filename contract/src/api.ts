/** The API, and the pages about it, lie under one part of the address; all other paths are the application's pages. */
export const isApiPath = (path: string): boolean => path.startsWith('/api/')

/** The OpenAPI description, and the page that shows it. */
export const DESCRIPTION_PATH = '/api/openapi.json'
export const DESCRIPTION_PAGE_PATH = '/api/docs'
