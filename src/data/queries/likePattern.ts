/** Escapes what `like` reads as a pattern, so that 100% finds 100%. */
export const likePattern = (text: string): string => `%${text.replace(/[\\%_]/g, (mark) => `\\${mark}`)}%`
