import type { Rule } from 'eslint';

export const buildersWords: Rule.RuleModule;
