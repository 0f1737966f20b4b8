type ProjectData = Readonly<Record<string, unknown>>;

/** Entry i brings a file of format version i + 1 to version i + 2. Version 1 is the first, so there is none yet. */
export const MIGRATIONS: readonly ((file: ProjectData) => ProjectData)[] = [];
