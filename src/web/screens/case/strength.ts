import { caseTexts } from '../../texts/caseTexts.ts';

/** Grades of evidence in decibans (H. Jeffreys, Theory of Probability, 1961, appendix B), the two highest taken as one. */
const GRADES = [5, 10, 15] as const;

/** How strongly a finding speaks, in words; `decibans` of either sign. */
export function strengthInWords(decibans: number): string {
  const grade = GRADES.filter((from) => Math.abs(decibans) >= from).length;
  return caseTexts.strengths[grade] ?? '';
}
