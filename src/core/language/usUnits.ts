/** Where people say degrees Fahrenheit, feet and gallons: the United States, roughly. */
const US = { south: 18, north: 49.4, west: -170, east: -66.9 } as const;

/** Whether people at a place (degrees of latitude and longitude) say Fahrenheit, feet and gallons. */
export const usesUsUnits = ({
  lat,
  lon,
}: {
  readonly lat: number;
  readonly lon: number;
}): boolean => lat > US.south && lat < US.north && lon > US.west && lon < US.east;
