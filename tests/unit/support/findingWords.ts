/** The check a finding’s code belongs to: the part before the slash. */
export const checkOf = (code: string): string => code.split('/')[0] ?? '';
