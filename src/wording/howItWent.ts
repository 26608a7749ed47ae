/** What is said to whoever is asked how it went. */
export const howItWentWords = {
  subject: (plant: string | null) => `How is your ${plant ?? 'plant'}?`,
  greeting: (name: string) => (name === '' ? 'Hello,' : `Dear ${name},`),
  asked: (day: string, plant: string | null) =>
    `on ${day} you asked us about your ${plant ?? 'plant'}.`,
  advised: (headline: string) => `We advised: ${headline}`,
  questions: [
    'Did you do it, all of it or some of it?',
    'Is the plant better, the same, or worse?',
    'Has anybody told you for sure what it was?',
  ],
  why: 'Your answer helps whoever asks next. If it is not better, call us again.',
  message: (clinic: string, plant: string | null) =>
    `${clinic}: how is your ${plant ?? 'plant'} after our advice? Better, same or worse? Did you do it? Just answer this message.`,
} as const;
