import { api } from './api';

/** What only the price pages ask of the server. */
const priceApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** The seller's price list this installation is set up with, as its CSV file. */
    priceList: build.query<string, void>({ query: () => ({ url: 'price-list', responseHandler: 'text' }) }),
  }),
});
export const { useLazyPriceListQuery } = priceApi;
