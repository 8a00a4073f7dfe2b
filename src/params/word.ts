/** Names of gardens, kinds and ways in addresses. */
export const match = (text: string): boolean => /^[a-z0-9][a-z0-9-]{0,59}$/.test(text);
