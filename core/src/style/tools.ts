/** What the hand holds at a step; a saw, a strong blade or a binding enzyme brings its own caution. */
export const TOOLS = ['hands', 'knife', 'shears', 'saw', 'enzyme', 'scale'] as const
export type Tool = (typeof TOOLS)[number]
