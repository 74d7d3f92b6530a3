import { createSortedRowModel, rowSortingFeature, sortFns, tableFeatures } from '@tanstack/react-table';

/** What a table needs whose headings sort it. */
export const SORTABLE = tableFeatures({ rowSortingFeature, sortedRowModel: createSortedRowModel(), sortFns });
