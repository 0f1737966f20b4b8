import { IsOptional } from 'class-validator';
import {
  BALANCE_TAB_FIELDS,
  CLEARED_SURFACES,
  ELEVATOR_FIELDS,
  ELEVATOR_HALVES,
  ELEVATOR_TAPES,
  FIN_FIELDS,
  FIN_PLACES,
  JOINER_FIELDS,
  RUDDER_FIELDS,
  STABILISER_FIELDS,
  TAIL_FIELDS,
  TIP_FIN_FIELDS,
} from '@grain-fold/core/forms';
import { LONGEST_NAME } from '@grain-fold/core/part';
import { IsFlag, withFields } from './form-fields.ts';
import { IsNameUpTo, IsOneOf, Nested } from './rules.ts';

/** The fixed level plate of a tail; its numbers stand in the table of the form. */
export class StabiliserDto {}
withFields(StabiliserDto, STABILISER_FIELDS);

export class ElevatorDto {
  @IsOneOf(ELEVATOR_HALVES) halves!: string;
  @IsOneOf(ELEVATOR_TAPES) tape!: string;
}
withFields(ElevatorDto, { ...ELEVATOR_FIELDS, ...BALANCE_TAB_FIELDS, ...JOINER_FIELDS });

export class FinDto {
  @IsOneOf(FIN_PLACES) place!: string;
  @IsFlag() hasTab!: boolean;
}
withFields(FinDto, { ...FIN_FIELDS, ...TIP_FIN_FIELDS });

export class RudderDto {}
withFields(RudderDto, { ...RUDDER_FIELDS, ...BALANCE_TAB_FIELDS });

/** All that is said of a tail of flat plates. */
export class TailParametersDto {
  @IsNameUpTo(LONGEST_NAME) material!: string;
  @Nested(() => StabiliserDto) stabiliser!: StabiliserDto;
  @IsOptional() @Nested(() => ElevatorDto) elevator?: ElevatorDto;
  @IsOptional() @Nested(() => FinDto) fin?: FinDto;
  @IsOptional() @Nested(() => RudderDto) rudder?: RudderDto;
  @IsOneOf(CLEARED_SURFACES) yields!: string;
}
withFields(TailParametersDto, TAIL_FIELDS);
