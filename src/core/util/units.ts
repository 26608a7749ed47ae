/** Exact factors: NIST SP 811 (2008), appendix B.8. US gallons and avoirdupois pounds. */
export const METRES_IN_INCH = 0.0254;
export const METRES_IN_FOOT = 0.3048;
export const LITRES_IN_GALLON = 3.785411784;
export const KILOGRAMS_IN_POUND = 0.45359237;
