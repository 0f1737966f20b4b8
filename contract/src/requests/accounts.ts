import { IsString, Length, Matches } from 'class-validator';

/** Name and password of a new account. */
export class SignUp {
  @IsString({ message: 'must be a text' })
  @Matches(/^[\p{L}\p{N}][\p{L}\p{N} ._-]{1,38}[\p{L}\p{N}]$/u, {
    message: 'must have 3 to 40 letters, digits, spaces, ".", "-" or "_"',
  })
  name!: string;
  @IsString({ message: 'must be a text' })
  @Length(10, 200, { message: 'must have 10 to 200 characters' })
  password!: string;
}

/** Another password for the account that is signed in. */
export class ChangePassword {
  @IsString({ message: 'must be a text' })
  @Length(1, 200, { message: 'must have 1 to 200 characters' })
  present!: string;
  @IsString({ message: 'must be a text' })
  @Length(10, 200, { message: 'must have 10 to 200 characters' })
  next!: string;
}

/** Name and password of an account that exists. */
export class SignIn {
  @IsString({ message: 'must be a text' }) @Length(1, 40, { message: 'must have 1 to 40 characters' }) name!: string;
  @IsString({ message: 'must be a text' })
  @Length(1, 200, { message: 'must have 1 to 200 characters' })
  password!: string;
}
