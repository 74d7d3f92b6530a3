import type { OperationDone, OperationInput } from '@wheat-ledger/contract';
import { ALL_TAGS, api } from './api';

/** Changes of several records at once. */
const changeApi = api.injectEndpoints({
  endpoints: (build) => ({
    /** Several changes for one reason: all of them or none. */
    change: build.mutation<OperationDone, OperationInput>({
      query: (body) => ({ url: 'operations', method: 'POST', body }),
      invalidatesTags: [...ALL_TAGS],
    }),
  }),
});
export const { useChangeMutation } = changeApi;
