/** Turns a book of one version into one of the next, as plain data that no schema has seen yet. */
export interface Migration {
  /** The version it starts from. */
  readonly from: number;
  /** What changed, in a few words. */
  readonly name: string;
  readonly migrate: (book: Readonly<Record<string, unknown>>) => Record<string, unknown>;
}

/** All migrations, from version 1 on. */
export const MIGRATIONS: readonly Migration[] = [
  // Version 2 has sections and fields that 1 had not, and changes none that it had.
  { from: 1, name: "jobs, rounds, stores and costs", migrate: (book) => ({ ...book }) },
];

/**
 * A ladder of migrations that has been checked: numbered from 1 with no gaps and one name each.
 * Throws on a gap, which is a mistake in the program and not in a file.
 */
export function checkedMigrations(migrations: readonly Migration[]): readonly Migration[] {
  migrations.forEach((migration, index) => {
    if (migration.from !== index + 1) {
      throw new Error(
        `migration "${migration.name}" starts from ${migration.from}, expected ${index + 1}`,
      );
    }
  });
  if (new Set(migrations.map((migration) => migration.name)).size !== migrations.length) {
    throw new Error("two migrations have the same name");
  }
  return migrations;
}

/** The book carried forward from its own version to the newest; `version` is stamped after each step. */
export function migrateForward(
  book: Readonly<Record<string, unknown>>,
  version: number,
  migrations: readonly Migration[],
): Readonly<Record<string, unknown>> {
  return checkedMigrations(migrations)
    .filter((migration) => migration.from >= version)
    .reduce(
      (current, migration) => ({ ...migration.migrate(current), version: migration.from + 1 }),
      book,
    );
}
