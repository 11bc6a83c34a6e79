/** Whether a text is meant to be a document of ours: JSON, sound or not. */
export const isDocument = (text: string): boolean => /^\uFEFF?\s*[{[]/.test(text)
