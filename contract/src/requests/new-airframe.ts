import { IsIn } from 'class-validator';
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
