/** The fields a record's schema names, without those it merely keeps. */
export type Known<T> = { [K in keyof T as string extends K ? never : K]: T[K] };
