/** Ids of the ledger, as the database writes them: anything else is no page. */
export const match = (text: string): boolean => /^[0-9a-f]{8}(-[0-9a-f]{4}){3}-[0-9a-f]{12}$/.test(text);
