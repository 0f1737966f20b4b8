/** Draws the worked examples of the guide with the program's own commands, as SVG into docs/pictures. */
import './pictures/folds.ts';
import './pictures/wings.ts';
import './pictures/bodies.ts';
import './pictures/others.ts';
import './pictures/demos.ts';
