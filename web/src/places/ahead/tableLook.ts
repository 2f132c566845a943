/** A row of the table as a grid, its cells under one another where there is no room for all beside each other: columns of their own width, so that a long one is not laid out anew with each row that comes into sight. */
export const TABLE_ROW =
  "grid border-b border-hairline max-xl:grid-cols-[minmax(0,1fr)_auto] max-xl:gap-x-3 xl:grid-cols-[7.5rem_13rem_14rem_8.5rem_9.5rem_minmax(0,1fr)_3rem]";
