/** What a part may hold at most. The project file keeps the same bounds. */
export const MOST_PATHS = 500;
export const MOST_NODES = 5000;
export const MOST_OPERATIONS = 1000;
export const MOST_FEATURES = 500;
export const MOST_GUIDES = 200;
export const MOST_JOINTS = 999;
export const MOST_VARIANTS = 20;
/** Points that follow the curves of a part within a hundredth of a millimetre, and things that its features become. */
export const MOST_POINTS = 100_000;
export const MOST_MADE = 2000;
export const MOST_IDS = 10_000_000;
/** Letters of names and labels, of notes, and of the names of guides, groups of lines and variants. */
export const LONGEST_NAME = 80;
export const LONGEST_NOTES = 10_000;
export const LONGEST_SHORT_NAME = 40;
/** Turns in degrees, either way: of grain, features and places; of guides; of a part about the line it stands on. */
export const WIDEST_TURN_DEGREES = 360;
export const WIDEST_GUIDE_TURN_DEGREES = 720;
export const WIDEST_JOINT_TURN_DEGREES = 180;
/** Lean of a plate in its slot, its fit, and a width that is kept whatever the plate measures. */
export const STEEPEST_PLATE_SLANT_DEGREES = 60;
export const SLOT_FIT_MM = { least: -2, most: 5 } as const;
export const KEPT_SLOT_MM = { least: 0.001, most: 200 } as const;
/** Smallest round guide in mm. */
export const SMALLEST_GUIDE_RADIUS_MM = 1e-6;
export const IDENTIFIER = /^[A-Za-z0-9_-]{1,40}$/;
/** A straight edge or line that a joint runs on: one that is drawn, or a piece of one that a feature or a mirror image makes. */
export const EDGE_REFERENCE = /^[A-Za-z0-9_-]{1,40}(~f\d{1,8}\.\d{1,8})?(~mirror)?$/;
