import data from '../../data/floatplan/identity.json';

/**
 * Is this what a beacon or a radio is called by? A beacon has 15 hexadecimal signs on its label, a radio nine digits or a call sign of
 * letters and digits. Spaces and dashes are how people write them. Source `beacon-identity`.
 */
export function isIdentity(of: keyof typeof data.forms, text: string): boolean {
  const bare = text.replace(/[\s.-]/g, '').toUpperCase();
  return data.forms[of].some((form) => new RegExp(form).test(bare));
}

/** Can it be dialled? Digits, and what people put between them. */
export const isDialled = (phone: string): boolean =>
  new RegExp(data.phone.dialled).test(phone) && phone.replace(/\D/g, '').length >= data.phone.least;

/** Can mail be sent there? One address, without what a header could be made of. */
export const isMail = (mail: string): boolean => new RegExp(data.mail).test(mail);
