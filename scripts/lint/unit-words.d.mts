import type { Rule } from 'eslint';

export const unitWords: Rule.RuleModule;
