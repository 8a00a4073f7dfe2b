/** A batch's code as it is typed or scanned: letters, digits, hyphens, spaces. */
export const match = (text: string): boolean => /^[\p{L}\p{N} -]{1,20}$/u.test(text);
