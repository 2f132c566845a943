/** The program that writes book files, with the version that `CHANGELOG.md` describes and the package bears. */
export const PROGRAM = { name: "Yonderfell", version: "0.3.0" } as const;
