/** What stands on the page until the first sheet has come. */
export const Opening = () => <p className="p-6 text-faint">Opening the ledger …</p>;
