/** What a page fills in by hand: the rules of its forms, with nothing of the project file behind them. */
import 'reflect-metadata';

export { fieldFaults } from './field-faults.ts';
export { ChangePassword, SignIn, SignUp } from './requests/accounts.ts';
export { CreateAirframe, RenameAirframe } from './requests/new-airframe.ts';
