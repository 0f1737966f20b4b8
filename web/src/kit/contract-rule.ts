import type { FormItemRule } from 'element-plus';
import type * as Forms from '@grain-fold/contract/forms';
type FormName = Exclude<keyof typeof Forms, 'fieldFaults'>;

/**
 * The rule of a field as the server keeps it, in the server's words. The rules are loaded when a field is first left.
 * @param form which of the contract's classes
 * @param field the field of that class
 * @param word what the page calls it, for the message
 */
export const contractRule = (form: FormName, field: string, word: string): FormItemRule => ({
  trigger: 'blur',
  asyncValidator: async (_rule, value: unknown): Promise<void> => {
    const forms = await import('@grain-fold/contract/forms');
    const fault = forms.fieldFaults<object>(forms[form], { [field]: value }).find((one) => one.field === field);
    if (fault) throw new Error(`${word} ${fault.message}.`);
  },
});
