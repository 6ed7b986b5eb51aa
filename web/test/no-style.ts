/** Stands for a style module: each class is called what the style file calls it. */
export default new Proxy(
  {},
  { get: (_, name) => String(name).replace(/[A-Z]/g, (letter) => `-${letter.toLowerCase()}`) },
) as Record<string, string>
