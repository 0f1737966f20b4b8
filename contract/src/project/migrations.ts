type ProjectData = Readonly<Record<string, unknown>>;

/** Version 2 added features, guides, centre lines, groups of lines and variants; a file without them is one already. */
const toVersion2 = (file: ProjectData): ProjectData => ({ ...file, formatVersion: 2 });

/** Version 3 added joints, places and seams between parts, the order of folds, and how folds are cut; a file without them is one already. */
const toVersion3 = (file: ProjectData): ProjectData => ({ ...file, formatVersion: 3 });

/** Version 4 added the plan and what of it parts were taken from; a file without them is one already. */
const toVersion4 = (file: ProjectData): ProjectData => ({ ...file, formatVersion: 4 });

/** Version 5 added forms and the parts that they make, bends, and open trenches; a file without them is one already. */
const toVersion5 = (file: ProjectData): ProjectData => ({ ...file, formatVersion: 5 });

/** Entry i brings a file of format version i + 1 to version i + 2. */
export const MIGRATIONS: readonly ((file: ProjectData) => ProjectData)[] = [
  toVersion2,
  toVersion3,
  toVersion4,
  toVersion5,
];
