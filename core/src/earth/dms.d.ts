declare module 'geodesy/dms.js' {
  const Dms: {
    /** Degrees of one angle, NaN where it is none. */
    parse(text: string): number;
    toLat(degrees: number, as: 'd' | 'dm' | 'dms', places?: number): string;
    toLon(degrees: number, as: 'd' | 'dm' | 'dms', places?: number): string;
  };
  export default Dms;
}
