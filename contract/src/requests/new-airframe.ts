import { IsIn, IsString } from 'class-validator';
import { BOUNDS, IsNameUpTo } from '../project/rules.ts';

/** A new, empty airframe. */
export class CreateAirframe {
  @IsNameUpTo(BOUNDS.nameLength) name!: string;
  @IsIn(['mm', 'in'], { message: 'must be mm or in, got $value' }) unit!: 'mm' | 'in';
}
/** Another name for an airframe. */
export class RenameAirframe {
  @IsNameUpTo(BOUNDS.nameLength) name!: string;
}
/** The text of a project file to take in; what it holds is read and told by line or field. */
export class ImportAirframe {
  @IsString({ message: 'must be the text of a project file' }) text!: string;
}
